import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { deviceKind } from '@core/trade/devices';
import type { BoxDrawing } from '@core/wiring/geometry/drawing';
import type { SeenBox, Survey } from '@core/job/model/survey';
import { spliceId, terminalId } from '@core/job/model/wiring';
import type { SeenChange, Toward } from '@core/job/seen/seen-box';
import type { Study } from '@core/site/survey/study';
import { BoxFigure } from '~/drawing/box-figure';
import { DEAD, type LiveView } from '~/drawing/live';
import { useJob } from '../job/context';
import { ConductorList } from './conductor-list';
import { NextTest } from './next-test';
import { Readings } from './readings';
import { drawSeen, seenOfEnd } from './seen-drawing';
import { SeenPanel } from './seen-panel';
import type { Picked } from './picked';
import { TypicalBoxes } from './typical-boxes';
import { useStudy } from './use-study';
import { VerdictView } from './verdict';
import { say } from '~/words/find';

/** One survey: the answer, the box as seen, the next test, what was read. */
export function OpenedBox({
  survey,
  note,
  onLayOut,
  onAnother,
}: {
  survey: Survey;
  note: (change: SeenChange) => void;
  onLayOut: (take: 'job' | 'wall') => void;
  onAnother: () => void;
}) {
  const { job } = useJob();
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  const [search] = useSearchParams();
  const [byHand, setByHand] = useState(search.get('by') === 'hand');
  const [boxId, setBoxId] = useState(survey.target);
  const [picked, setPicked] = useState<Picked | null>(null);
  const box = survey.boxes.find(({ id }) => id === boxId) ?? survey.boxes[0];
  const placed = survey.boxes.every(
    ({ ends, cables }) => cables.length > 0 && ends.every(({ sits }) => sits.at !== 'loose'),
  );
  const {
    answer: study,
    busy,
    failed,
    retry,
  } = useStudy(placed || survey.outside.length > 0 ? survey : undefined, skipped);
  const known = placed || survey.outside.length > 0 ? study : null;
  const drawing = useMemo(() => (box ? drawSeen(job, survey, box, known) : null), [job, survey, box, known]);
  if (!box || !drawing) return null;

  const lead = (toward: Toward) => {
    if (picked) note({ what: 'conductor', box: box.id, end: picked, toward });
    setPicked(null);
  };
  const onWire = (end: string) => {
    const seen = seenOfEnd(survey, box, end);
    if (!seen) return;
    if (!picked) setPicked({ cable: seen.cable, insulation: seen.insulation });
    else if (picked.cable === seen.cable && picked.insulation === seen.insulation) setPicked(null);
    else lead({ to: 'conductor', cable: seen.cable, insulation: seen.insulation });
  };
  const onPoint = (point: string) => {
    const screw = box.devices
      .flatMap(({ id, kind }) => deviceKind(kind).terminals.map((one) => ({ device: id, terminal: one.id })))
      .find(({ device, terminal }) => terminalId(device, terminal) === point);
    if (picked && screw) return lead({ to: 'terminal', ...screw });
    const inSplice = box.ends.find(
      ({ sits }) => sits.at === 'splice' && spliceId(box.id, sits.splice) === point,
    );
    const onScrew = box.ends.find(
      ({ sits }) => sits.at === 'terminal' && terminalId(sits.device, sits.terminal) === point,
    );
    const seen = inSplice ?? onScrew;
    if (seen) onWire(drawing.wires.find(({ id }) => seenOfEnd(survey, box, id) === seen)?.id ?? '');
  };
  const pickedEnd = picked
    ? (drawing.wires.find(({ id }) => {
        const seen = seenOfEnd(survey, box, id);
        return seen?.cable === picked.cable && seen.insulation === picked.insulation;
      })?.id ?? null)
    : null;

  // It stands under the answer on a phone, beside the drawing on a wider screen.
  // While the first study is worked out their place is kept: what lies below does not move away under a thumb.
  const awaited = placed && busy && known === null;
  const next = awaited ? (
    <div className="min-h-[44rem] rounded-xl border-2 border-line bg-paper lg:min-h-[36rem]" />
  ) : known?.suggestion ? (
    <NextTest survey={survey} study={known} busy={busy} onSkip={(key) => setSkipped([...skipped, key])} />
  ) : null;
  return (
    <div
      className="grid grid-cols-[minmax(0,1fr)] content-start gap-5 p-4 sm:p-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,26rem)]"
      aria-busy={busy}
    >
      <div className="grid content-start gap-4">
        {failed ? (
          <div role="alert" className="grid gap-2 rounded-xl border-2 border-ink p-3">
            <p>{say('openedBox.failed', { failed })}</p>
            <button type="button" className="button justify-self-start" onClick={retry}>
              {say('openedBox.tryAgain')}
            </button>
          </div>
        ) : null}
        <div className={awaited ? 'min-h-44' : ''}>
          <VerdictView job={job} survey={survey} study={known} placed={placed} onLayOut={onLayOut} />
        </div>
        {next ? <div className="lg:hidden">{next}</div> : null}
        {survey.boxes.length > 1 ? (
          <div className="flex flex-wrap gap-2" role="group" aria-label={say('openedBox.openedBoxes')}>
            {survey.boxes.map(({ id, name }) => (
              <button
                key={id}
                type="button"
                className="chip"
                aria-pressed={id === box.id}
                onClick={() => setBoxId(id)}
              >
                {name}
                {id === survey.target ? say('openedBox.outletWanted') : ''}
              </button>
            ))}
          </div>
        ) : null}
        {box.cables.length === 0 && box.devices.length === 0 && !byHand ? (
          <TypicalBoxes
            onTake={(typical) =>
              typical === null ? setByHand(true) : note({ what: 'typical', box: box.id, typical })
            }
          />
        ) : null}
        {box.cables.length > 0 ? (
          <BoxFigure
            drawing={drawing}
            title={say('openedBox.whatSeen', { box: box.name })}
            className="max-h-[30rem] w-full rounded-xl bg-paper"
            live={knownHots(survey, box, drawing, known)}
            handlers={{ onWire, onPoint, picked: pickedEnd }}
          />
        ) : null}
        <ConductorList
          survey={survey}
          box={box}
          study={known}
          picked={picked}
          onPick={setPicked}
          lead={lead}
          note={note}
        />
      </div>
      <aside className="grid content-start gap-5" aria-label={say('openedBox.testsWhatSeen')}>
        {next ? <div className="hidden lg:block">{next}</div> : null}
        <Readings
          survey={survey}
          suspects={known?.verdict.contradiction?.suspects.map(({ id }) => id) ?? []}
        />
        <SeenPanel survey={survey} box={box} note={note} onBox={setBoxId} onAnother={onAnother} />
      </aside>
    </div>
  );
}

/** What is known to be a constant hot gets the sleeve of a live conductor, with all that it is joined to. */
function knownHots(survey: Survey, box: SeenBox, drawing: BoxDrawing, study: Study | null): LiveView {
  const hot = new Set(
    drawing.wires.flatMap(({ id, point }) => {
      const seen = seenOfEnd(survey, box, id);
      const role = study?.verdict.conductors.find(
        ({ cable, insulation }) => cable === seen?.cable && insulation === seen.insulation,
      );
      return role?.alwaysHot ? [point] : [];
    }),
  );
  return { ...DEAD, isLive: (point) => hot.has(point) };
}
