import { useState } from 'react';
import { PANEL } from '@core/job/model/design';
import type { Sheet, SheetPoint } from '@core/job/model/sheet';
import { tracedOn } from '@core/job/sheet/trace';
import { AnswerLine } from '~/ui/answer-line';
import { Select } from '~/ui/select';
import { TextField } from '~/ui/text-field';
import { useJob, useJudged } from '../job/context';
import { BringIn } from './bring-in';
import { Compare } from './compare';
import { PinForm } from './pin-form';
import { TableView } from './table-view';
import { FromSheet, ToolPanel } from './tool-panel';
import { TOOLS, useHand, type Tool } from './tools';
import { say } from '~/words/sheet';

export { StageError as ErrorBoundary } from '../job/stage-error';

/** The plan on the table: the sheet, what is traced on it, and each of its call-outs against the work. */
export default function PlanPage() {
  const { job } = useJob();
  const { judged } = useJudged();
  const lines = judged?.lines ?? [];
  const [asked, setAsked] = useState<string | null>(null);
  const sheet = job.sheets.find(({ id }) => id === asked) ?? job.sheets[0];
  const count = (is: 'met' | 'not met' | 'open') => lines.filter(({ state }) => state === is).length;
  const pinned = lines.filter(({ line }) => job.sheets.some(({ id }) => id === line.pin?.sheet)).length;
  return (
    <main className="grid flex-1 content-start gap-4 p-4 sm:p-5">
      <AnswerLine>
        {!sheet
          ? say('route.none')
          : !sheet.scale
            ? say('route.noScale')
            : !judged
              ? say('route.comparing')
              : lines.length === 0
                ? say('route.noLines', { rooms: tracedOn(job, sheet).rooms.length })
                : say('route.lines', {
                    met: count('met'),
                    count: lines.length,
                    not: count('not met'),
                    open: count('open'),
                    pinned,
                  })}
      </AnswerLine>
      {job.sheets.length > 1 ? (
        <div className="flex flex-wrap gap-2" role="group" aria-label={say('route.sheets')}>
          {job.sheets.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              className="chip"
              aria-pressed={id === sheet?.id}
              onClick={() => setAsked(id)}
            >
              {name}
            </button>
          ))}
        </div>
      ) : null}
      {sheet ? <Table key={sheet.id} sheet={sheet} /> : <p className="max-w-prose">{say('route.what')}</p>}
      <section aria-labelledby="bring-in" className="grid gap-2">
        <h3 id="bring-in" className="eyebrow">
          {sheet ? say('bring.another') : say('bring.title')}
        </h3>
        <BringIn onCame={setAsked} />
      </section>
    </main>
  );
}

const SCALING: readonly Tool[] = ['length', 'rectangle', 'check'];
const TRACING: readonly Tool[] = ['room', 'pull', 'opening', 'box', 'panel'];

function Table({ sheet }: { sheet: Sheet }) {
  const { job, run } = useJob();
  const judged = useJudged().judged?.lines ?? [];
  const hand = useHand(sheet);
  const [chosen, setChosen] = useState<string | null>(null);
  /** A line that is there and is to be pinned; null for a new one. */
  const [pinning, setPinning] = useState<string | null>(null);
  const pins = judged.map((check, index) => ({ check, number: index + 1 }));
  const [at] = hand.points;
  const pin = at && { sheet: sheet.id, x: at.x, y: at.y };
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <div className="grid content-start gap-2">
        <ChooseTool
          sheet={sheet}
          tool={hand.tool}
          onChoose={(tool) => {
            setPinning(null);
            hand.choose(tool);
          }}
        />
        <TableView
          sheet={sheet}
          hand={hand}
          pins={pins.filter(({ check }) => check.line.pin?.sheet === sheet.id)}
          chosen={chosen}
          onChoose={setChosen}
        />
      </div>
      <aside className="grid content-start gap-4" aria-label={say('route.beside')}>
        {hand.tool === 'look' ? null : (
          <section
            className="grid gap-3 rounded-xl border-2 border-plum bg-paper p-3"
            aria-label={TOOLS[hand.tool].says}
          >
            <ToolPanel sheet={sheet} hand={hand} />
            {hand.tool === 'pin' ? (
              pin ? (
                pinning ? (
                  <button
                    type="button"
                    className="button button-strong justify-self-start"
                    onClick={() => {
                      run({ do: 'pin plan line', line: pinning, pin });
                      setPinning(null);
                      hand.choose('look');
                    }}
                  >
                    {say('pin.here', {
                      says: judged.find(({ line }) => line.id === pinning)?.line.says ?? '',
                    })}
                  </button>
                ) : (
                  <PinForm
                    key={`${pin.x} ${pin.y}`}
                    near={nearestBox(tracedOn(job, sheet).places, pin, sheet.widthPx / 12)}
                    onPin={(line) => {
                      run({ do: 'add plan lines', lines: [{ ...line, pin }] });
                      hand.clear();
                    }}
                  />
                )
              ) : (
                <p className="font-semibold" role="status">
                  {say('pin.tap')}
                </p>
              )
            ) : null}
          </section>
        )}
        <FromSheet />
        <section aria-labelledby="compare" className="grid gap-2">
          <h3 id="compare" className="text-lg font-bold">
            {say('compare.title')}
          </h3>
          <Compare
            sheet={sheet}
            pins={pins}
            chosen={chosen}
            onChoose={setChosen}
            onPin={(line) => {
              setPinning(line);
              hand.choose('pin');
            }}
          />
        </section>
        <div className="grid grid-cols-[1fr_auto] items-end gap-2">
          <TextField
            label={say('route.name')}
            value={sheet.name}
            onCommit={(name) => run({ do: 'set sheet', sheet: sheet.id, change: { name } })}
          />
          <button
            type="button"
            className="button"
            onClick={() => run({ do: 'remove sheet', sheet: sheet.id })}
          >
            {say('route.remove')}
          </button>
        </div>
      </aside>
    </div>
  );
}

/** The tools side by side; on a phone a list. */
function ChooseTool({ sheet, tool, onChoose }: { sheet: Sheet; tool: Tool; onChoose: (tool: Tool) => void }) {
  const groups = [['look', 'pin'] as const, ...(sheet.picture ? [SCALING, TRACING] : [TRACING])];
  const ready = (one: Tool) => !TOOLS[one].scaled || sheet.scale !== null;
  return (
    <>
      <div className="sm:hidden">
        <Select
          label={say('tool.title')}
          value={tool}
          options={groups
            .flat()
            .filter(ready)
            .map((one) => ({ value: one, label: TOOLS[one].says }))}
          onChange={(value) => {
            const next = groups.flat().find((one) => one === value);
            if (next) onChoose(next);
          }}
        />
      </div>
      <div className="hidden flex-wrap gap-x-3 gap-y-1 sm:flex" role="group" aria-label={say('tool.title')}>
        {groups.map((group, index) => (
          <div key={index} className="flex flex-wrap gap-1">
            {group.map((one) => (
              <button
                key={one}
                type="button"
                className="chip"
                aria-pressed={tool === one}
                disabled={!ready(one)}
                onClick={() => onChoose(one)}
              >
                {TOOLS[one].says}
              </button>
            ))}
          </div>
        ))}
      </div>
    </>
  );
}

/** The box whose place is nearest to a point, where one is near. */
function nearestBox(places: ReadonlyMap<string, SheetPoint>, at: SheetPoint, within: number): string | null {
  const near = [...places]
    .filter(([id]) => id !== PANEL)
    .map(([id, { x, y }]) => ({ id, far: Math.hypot(x - at.x, y - at.y) }))
    .toSorted((a, b) => a.far - b.far)[0];
  return near && near.far <= within ? near.id : null;
}
