import { measureRun } from '@core/job/rooms/route';
import { fitOf } from '@core/job/sheet/plane';
import { useJob } from '../job/context';
import { Ask, cornerAt, type ToolProps } from './ask';
import { FeetForm } from './feet-form';
import { Boxes, Openings, PanelPlace } from './place-panels';
import { RoomPanel } from './room-panel';
import { feetInches } from './traced-marks';
import { useTrace } from './use-trace';
import { say } from '~/words/sheet';

/** What the tool in hand is for, and what its points become. */
export function ToolPanel({ sheet, hand }: ToolProps) {
  switch (hand.tool) {
    case 'length':
    case 'check':
      return <Length sheet={sheet} hand={hand} />;
    case 'rectangle':
      return <Straighten sheet={sheet} hand={hand} />;
    case 'room':
    case 'pull':
      return <RoomPanel key={hand.tool} sheet={sheet} hand={hand} />;
    case 'opening':
      return <Openings sheet={sheet} hand={hand} />;
    case 'box':
      return <Boxes sheet={sheet} hand={hand} />;
    case 'panel':
      return <PanelPlace sheet={sheet} hand={hand} />;
    case 'look':
    case 'pin':
      return null;
  }
}

/** Two points and their length: the scale, or a second length that tells how well it fits. */
function Length({ sheet, hand }: ToolProps) {
  const { run } = useJob();
  const trace = useTrace(sheet);
  const { points, tool } = hand;
  const fit = tool === 'check' ? fitOf(sheet) : null;
  return (
    <>
      <Ask hand={hand} count={2}>
        {tool === 'check' ? say('length.second') : say('length.tapTwo')}
      </Ask>
      {points.length === 2 ? (
        <FeetForm
          fields={[{ name: 'length', label: say('length.apart') }]}
          submit={say('length.set')}
          onSet={([lengthFt = 0]) => {
            const measure = { from: cornerAt(points, 0), to: cornerAt(points, 1), lengthFt };
            if (tool === 'check') run({ do: 'set sheet', sheet: sheet.id, change: { check: measure } });
            else trace({ on: 'scale', scale: { by: 'length', ...measure } });
            if (tool === 'check') hand.clear();
            else hand.choose('check');
          }}
        />
      ) : null}
      {fit && points.length === 0 && sheet.check ? (
        <p role="status">
          {fit.fits
            ? say('length.fits', { shows: feetInches(fit.showsFt), said: feetInches(sheet.check.lengthFt) })
            : say('length.fitsNot', {
                shows: feetInches(fit.showsFt),
                said: feetInches(sheet.check.lengthFt),
                off: (fit.off * 100).toFixed(1),
              })}
        </p>
      ) : null}
    </>
  );
}

function Straighten({ sheet, hand }: ToolProps) {
  const trace = useTrace(sheet);
  return (
    <>
      <Ask hand={hand} count={4}>
        {say('straighten.tapFour')}
      </Ask>
      {hand.points.length === 4 ? (
        <FeetForm
          fields={[
            { name: 'wide', label: say('straighten.wide') },
            { name: 'high', label: say('straighten.high') },
          ]}
          submit={say('length.set')}
          onSet={([wideFt = 0, highFt = 0]) => {
            trace({ on: 'scale', scale: { by: 'rectangle', corners: [...hand.points], wideFt, highFt } });
            hand.choose('check');
          }}
        />
      ) : null}
    </>
  );
}

/** Runs whose length the sheets tell, and which are not measured by them yet. */
export function FromSheet() {
  const { job, run } = useJob();
  const found = job.runs.flatMap((one) => {
    const over =
      one.route === 'given' && !one.cord && one.existing === null ? measureRun(job, one, 'over') : null;
    return over ? [{ run: one.id, over }] : [];
  });
  const places = job.panelAt !== null || job.rooms.some(({ plan }) => plan !== null);
  if (!places || found.length === 0) return null;
  const total = found.reduce((sum, { over }) => sum + over.lengthFt, 0);
  return (
    <div className="grid gap-2 rounded-xl border-2 border-line bg-paper p-3">
      <p>{say('lengths.found', { count: found.length, total: Math.round(total) })}</p>
      <button
        type="button"
        className="button justify-self-start"
        onClick={() =>
          run(...found.map((one) => ({ do: 'set run', run: one.run, change: { route: 'over' } }) as const))
        }
      >
        {say('lengths.take')}
      </button>
    </div>
  );
}
