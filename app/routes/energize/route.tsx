import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { drawBox } from '@core/geometry/box-drawing';
import { buildNetwork, type Network } from '@core/network/network';
import type { ShownPlan } from '@core/plan';
import { placeName } from '@core/layout/names';
import { shownIn } from '~/drawing/live';
import { RunSpine, spineOrder } from '~/drawing/run-spine';
import { EMPTY_SCENE, type Scene } from '~/storage/scene';
import { AnswerLine } from '~/ui/answer-line';
import { Refusals } from '~/ui/answer';
import { useStable } from '~/ui/use-stable';
import { useChosenBox } from '../job/chosen-box';
import { useJob, useJudged, usePlan } from '../job/context';
import { runBench } from './bench';
import { LiveBox } from './live-box';
import { ProofTable, proofLine } from './proof-table';
import { TOOLS, Tray, type Tool } from './tray';
import { say } from '~/words/energize';

export { StageError as ErrorBoundary } from '../job/stage-error';

export default function Energize() {
  const { job, outcome } = usePlan();
  const [chosen, choose] = useChosenBox(job);
  const network = useMemo(
    () => (outcome.ok ? buildNetwork(outcome.plan.wiring, job.circuits) : null),
    [outcome, job],
  );
  if (!outcome.ok || !network) {
    return (
      <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start lg:grid-cols-[15.5rem_1fr]">
        <div className="lg:border-r lg:border-line lg:p-4">
          <RunSpine job={job} outcome={outcome} chosen={chosen} onChoose={choose} />
        </div>
        <div className="grid content-start gap-4 p-4">
          <Refusals refusals={outcome.ok ? [] : outcome.refusals} />
          <Link to={`/job/${job.id}/lay-out`} className="button justify-self-start">
            {say('route.changeLayOut')}
          </Link>
        </div>
      </main>
    );
  }
  return <Live key={job.id} plan={outcome.plan} network={network} chosen={chosen} choose={choose} />;
}

function Live({
  plan,
  network,
  chosen,
  choose,
}: {
  plan: ShownPlan;
  network: Network;
  chosen: string;
  choose: (box: string) => void;
}) {
  const { scene: kept, setScene: keep } = useJob();
  const { job, outcome } = usePlan();
  const { judged, judging } = useJudged();
  const [scene, setScene] = useState<Scene>(kept);
  const [tool, setTool] = useState<Tool>('hand');
  const [sniffed, setSniffed] = useState<string | null>(null);
  const change = (next: Scene) => {
    setScene(next);
    keep(next);
  };
  const bench = useMemo(() => runBench(job, network, scene), [job, network, scene]);
  const proof = judging ? null : (judged?.proof ?? null);
  const boxes = useMemo(
    () =>
      spineOrder(job)
        .filter(({ place }) => job.boxes.some(({ id }) => id === place))
        .map(({ place }) => ({ id: place, drawing: drawBox(plan, place) })),
    [plan, job],
  );
  const frame = {
    width: Math.max(...boxes.map(({ drawing }) => drawing.width)),
    height: Math.max(...boxes.map(({ drawing }) => drawing.height)),
  };
  const probes = [scene.meter.from, scene.meter.to].filter((point) => point !== null);
  const handlers = {
    onHandle: useStable((device: string) => {
      const at = scene.positions[device] === 1 ? 0 : 1;
      change({ ...scene, positions: { ...scene.positions, [device]: at } });
    }),
    onPart: useStable((key: string) => {
      const what = TOOLS[tool].plugs;
      if (what === null && tool !== 'hand') return;
      const { [key]: there, ...rest } = scene.plugged;
      change({ ...scene, plugged: what === null || there === what ? rest : { ...rest, [key]: what } });
    }),
    onPoint: useStable((point: string) => {
      if (tool === 'non-contact') setSniffed(point);
      if (tool !== 'meter' && tool !== 'low meter') return;
      const { from, to } = scene.meter;
      const impedance: Scene['meter']['impedance'] = tool === 'meter' ? 'high' : 'low';
      const first = from === null || to !== null;
      const meter = first ? { impedance, from: point, to: null } : { impedance, from, to: point };
      change({ ...scene, meter });
    }),
    onTest: useStable((device: string, open: boolean) => {
      const rest = scene.tripped.filter((other) => other !== device);
      change({ ...scene, tripped: open ? [...rest, device] : rest });
    }),
    probes,
  };
  const toggle = (circuit: string) => {
    // Tied handles move together.
    const tied = job.circuits.find(({ id }) => id === circuit)?.tiedWith;
    const together = [circuit, ...(tied ? [tied] : [])];
    const others = scene.openBreakers.filter((id) => !together.includes(id));
    change({
      ...scene,
      openBreakers: scene.openBreakers.includes(circuit) ? others : [...others, ...together],
    });
  };
  const tripped = new Set(
    [...bench.energized.state.openBreakers].filter((circuit) => !scene.openBreakers.includes(circuit)),
  );
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start lg:grid-cols-[15.5rem_minmax(0,1fr)_minmax(0,19rem)]">
      <div className="lg:border-r lg:border-line lg:p-4">
        <RunSpine
          job={job}
          outcome={outcome}
          chosen={chosen}
          onChoose={(box) => {
            choose(box);
            document.getElementById(`box-${box}`)?.scrollIntoView({ block: 'nearest', inline: 'center' });
          }}
          panel={
            <div className="mt-1 grid gap-1">
              {job.circuits.map(({ id, number, breakerA }) => {
                const off = scene.openBreakers.includes(id);
                return (
                  <button
                    key={id}
                    type="button"
                    role="switch"
                    aria-checked={!off}
                    aria-label={say('route.breaker', { number })}
                    onClick={() => toggle(id)}
                    className="flex min-h-11 items-center gap-2 rounded-lg border-2 border-ink px-2 text-left font-semibold whitespace-nowrap"
                  >
                    <span
                      aria-hidden
                      className={`flex h-6 w-11 rounded border-2 border-ink p-0.5 ${off || tripped.has(id) ? '' : 'justify-end bg-ink'}`}
                    >
                      <span className={`w-4 rounded-sm ${off || tripped.has(id) ? 'bg-ink' : 'bg-sand'}`} />
                    </span>
                    <span>
                      {number} <span className="text-sm text-ink-soft">{say('route.a', { breakerA })}</span>{' '}
                      {tripped.has(id) ? 'tripped' : off ? 'off' : 'on'}
                    </span>
                  </button>
                );
              })}
            </div>
          }
        />
      </div>
      <div className="grid min-w-0 content-start gap-3 bg-paper p-3 lg:p-4">
        <AnswerLine>{proof ? proofLine(proof) : say('route.checkingEverySwitchPosition')}</AnswerLine>
        <Tray tool={tool} onChoose={setTool} />
        <div className="flex snap-x gap-4 overflow-x-auto pb-2">
          {boxes.map(({ id, drawing }) => (
            <LiveBox
              key={id}
              id={id}
              name={placeName(job, id)}
              drawing={drawing}
              live={bench.live}
              shown={shownIn(drawing, bench.live)}
              handlers={handlers}
              frame={frame}
            />
          ))}
        </div>
      </div>
      <aside
        aria-label={say('route.readingsVerification')}
        className="grid content-start gap-4 p-4 lg:border-l lg:border-line"
      >
        <section aria-live="polite" className="grid gap-2">
          <h3 className="eyebrow">{say('route.readings')}</h3>
          {bench.notes.map((note) => (
            <p key={note} className="rounded-lg border-2 border-ink p-2 font-semibold">
              ▲ {note}
            </p>
          ))}
          <p>
            <span className="text-sm text-ink-soft">
              {say('route.meterLowOther', { impedance: scene.meter.impedance })}
            </span>
            <span className={bench.meter === null ? '' : 'num text-lg'} data-meter>
              {bench.meter ??
                (scene.meter.from === null ? say('route.touchTwoPoints') : say('route.touchSecondPoint'))}
            </span>
          </p>
          {sniffed !== null && tool === 'non-contact' ? (
            <p>{say('route.nonContactTester', { sniff: bench.sniff(sniffed) })}</p>
          ) : null}
          {bench.testers.map(({ key, text }) => (
            <p key={key} data-tester={key}>
              {text}
            </p>
          ))}
          <button type="button" className="button justify-self-start" onClick={() => change(EMPTY_SCENE)}>
            {say('route.clearEverything')}
          </button>
        </section>
        {proof ? <ProofTable job={job} proof={proof} network={network} /> : null}
      </aside>
    </main>
  );
}
