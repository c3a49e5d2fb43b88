import { lazy, Suspense, useMemo, useState, type ReactNode } from 'react';
import { drawBox } from '@core/wiring/geometry/box-drawing';
import type { BoxDrawing } from '@core/wiring/geometry/drawing';
import { capitalize } from '@core/base/capitalize';
import { makeUpSteps } from '@core/wiring/makeup/steps';
import { tickSteps } from '@core/wiring/makeup/ticks';
import type { NetRole } from '@core/job/model/wiring';
import type { ShownPlan } from '@core/wiring/plan';
import { BoxFigure } from '~/drawing/box-figure';
import { placeName } from '@core/job/model/called';
import { AnswerLine } from '~/ui/answer-line';
import { MustGoButton } from '~/ui/must-go-button';
import { answerOf } from '~/ui/answer';
import { useJob, usePlan } from '../job/context';
import { BoxPapers } from './box-papers';
import { StepList } from './step-list';
import { ZoomPane } from '~/ui/zoom-pane';
import { say } from '~/words/make-up';

const MustGo = lazy(() => import('./must-go'));

const LAYERS = [
  { id: 'all', name: say('openBox.all'), roles: null },
  { id: 'ground', name: say('openBox.grounds'), roles: ['ground'] },
  { id: 'neutral', name: say('openBox.neutrals'), roles: ['neutral'] },
  { id: 'hot', name: say('openBox.hots'), roles: ['hot'] },
  { id: 'switched', name: say('openBox.switched'), roles: ['switched', 'traveler'] },
] as const satisfies readonly { id: string; name: string; roles: readonly NetRole[] | null }[];

/** One open box: its drawing, its steps to tick, its papers. */
export function OpenBox({ plan, box, turn }: { plan: ShownPlan; box: string; turn: ReactNode }) {
  const { record } = useJob();
  const { job, fills } = usePlan();
  const fill = fills.get(box);
  const [side, setSide] = useState<'front' | 'behind'>('front');
  const [layer, setLayer] = useState<(typeof LAYERS)[number]['id']>('all');
  const [chosen, setChosen] = useState<string | null>(null);
  const [leaving, setLeaving] = useState(false);
  const drawing = useMemo(() => drawBox(plan, box, { side }), [plan, box, side]);
  const steps = useMemo(() => makeUpSteps(plan, box), [plan, box]);
  const ticked = useMemo(() => tickSteps(steps, record.ticks, box), [steps, record.ticks, box]);
  const step = steps.find(({ id }) => id === chosen);
  const roles = LAYERS.find(({ id }) => id === layer)?.roles ?? null;
  const lit = useMemo(() => {
    if (step && step.touches.length > 0) return new Set(step.touches);
    return roles ? idsOfRoles(drawing, roles) : undefined;
  }, [step, roles, drawing]);
  const done = ticked.steps.filter(({ state }) => state === 'done').length;
  return (
    <>
      <div className="min-w-0 bg-paper p-3 lg:p-4">
        <div className="flex items-start gap-2">
          <AnswerLine>{answerOf(plan)}</AnswerLine>
          {turn}
        </div>
        <div
          className="my-2 flex flex-wrap gap-1"
          role="toolbar"
          aria-label={say('openBox.whatDrawingShows')}
        >
          {LAYERS.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              aria-pressed={layer === id}
              onClick={() => {
                setLayer(id);
                setChosen(null);
              }}
              className="chip"
            >
              {name}
            </button>
          ))}
          <button
            type="button"
            aria-pressed={side === 'behind'}
            onClick={() => setSide(side === 'front' ? 'behind' : 'front')}
            className="chip"
          >
            {say('openBox.backView')}
          </button>
        </div>
        {side === 'behind' ? <p className="mb-1 text-sm font-semibold">{say('openBox.mirrored')}</p> : null}
        <ZoomPane>
          <BoxFigure
            drawing={drawing}
            title={say('openBox.openBox', { placeName: placeName(job, box) })}
            lit={lit}
            className="mx-auto max-h-[31rem] w-full"
          />
        </ZoomPane>
      </div>
      <div className="grid content-start gap-3 p-3 pb-24 lg:border-l lg:border-line lg:p-4">
        <h3 className="eyebrow">
          {say('openBox.done', {
            placeName: capitalize(placeName(job, box)),
            done,
            stepsCount: steps.length,
            fill: fill
              ? say('openBox.fill', {
                  fits: fill.fits,
                  totalIn3: fill.totalIn3.toFixed(2),
                  volumeIn3: fill.volumeIn3,
                })
              : '',
          })}
        </h3>
        <StepList box={box} ticked={ticked} drawing={drawing} chosen={chosen} onChoose={setChosen} />
        {steps.length === 0 ? <p>{say('openBox.noCable')}</p> : null}
        <MustGoButton onClick={() => setLeaving(true)} />
        {leaving ? (
          <Suspense>
            <MustGo plan={plan} record={record} onClose={() => setLeaving(false)} />
          </Suspense>
        ) : null}
        <BoxPapers plan={plan} box={box} />
      </div>
    </>
  );
}

/** Everything of the drawing that belongs to some roles; cables stay so that it is seen where wires come from. */
function idsOfRoles(drawing: BoxDrawing, roles: readonly NetRole[]): Set<string> {
  const wires = drawing.wires.filter(({ role }) => role !== null && roles.includes(role));
  const splices = drawing.splices.filter(({ role }) => roles.includes(role));
  return new Set([
    ...drawing.cables.map(({ id }) => id),
    ...wires.flatMap(({ id, point }) => [id, point]),
    ...splices.map(({ id }) => id),
  ]);
}
