import type { Leaving } from '@core/handover/day/leaving';
import { BoxFigure } from '~/drawing/box-figure';
import { say } from '~/words/day';

/** The ways to where one breaker may be on: what is capped and covered, or what is finished instead; the nearest first. */
export function WaysOut({ of: { boxes, lines, capping, finishing } }: { of: Leaving }) {
  return (
    <>
      {finishing?.nearest ? <Finishing of={finishing} /> : null}
      {boxes.map(({ box, name, drawing, caps }) => (
        <BoxFigure
          key={box}
          drawing={drawing}
          title={say('leaving.capHere', { box: name })}
          lit={new Set(caps)}
          className="mx-auto max-h-56 w-full"
        />
      ))}
      {lines.length > 0 ? (
        <ul className="list-disc pl-5">
          {lines.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      ) : null}
      {capping === '' ? null : <p>{say('leaving.capping', { time: capping })}</p>}
      {finishing && !finishing.nearest ? <Finishing of={finishing} /> : null}
    </>
  );
}

/** What is to be finished until the breaker may be on, in its order. */
function Finishing({ of: { tasks, time, nearest } }: { of: NonNullable<Leaving['finishing']> }) {
  const count = tasks.length;
  return (
    <details open={nearest} data-finishing>
      <summary className="min-h-11 cursor-pointer py-2">
        {nearest ? say('leaving.finishNearest', { count, time }) : say('leaving.finish', { count, time })}
      </summary>
      <ol className="list-decimal pl-6">
        {tasks.map((task, index) => (
          <li key={index}>{task}</li>
        ))}
      </ol>
    </details>
  );
}
