import { sure } from '../../base/sure';
import { capitalize } from '../../base/capitalize';
import { deviceKind } from '../../trade/devices';
import { inBox } from '../../job/model/in-box';
import {
  boxGroundId,
  endId,
  slotId,
  tabId,
  type EndId,
  type NetRole,
  type WiredCable,
  type WiredConductor,
} from '../../job/model/wiring';
import { isHome, PANEL } from '../../job/model/design';
import { DEVICE_COLOR_NAME } from '../../job/model/place-names';
import type { Drawable } from '../plan';
import { cableNames, colorName, endNames, type CableName } from './cable-names';
import { deviceNames } from './device-names';
import { Structure } from './fingerprint';
import { landingSteps } from './landing-steps';
import { MAKE_UP_ORDER } from './make-up';
import { panelContents, panelLanding } from './panel';
import { spliceSteps } from './splice-steps';
import type { NamedStep, Step } from './step';
import { SIDE_NAME } from '../../job/model/names';
import { say } from '../../base/words/makeup';

/**
 * What to do at one box, in the order in which it is done: mark, strip, grounds, neutrals, hots, caps, tabs, land
 * on the terminals, fold. Empty for a box with nothing in it, and for one that stays closed. Within a box no two steps
 * read the same.
 */
export function makeUpSteps(plan: Drawable, box: string): NamedStep[] {
  const structure = new Structure(plan, box);
  return stepsOf(plan, box).map((step) => ({ ...step, does: structure.of(step.stage, step.touches) }));
}

function stepsOf(plan: Drawable, box: string): Step[] {
  const { wiring, job } = plan;
  const { cables, devices, tails, caps, terminations } =
    box === PANEL ? panelContents(wiring) : inBox(wiring, box);
  const own = job.boxes.find(({ id }) => id === box);
  if (cables.length === 0 || own?.closed) return [];
  const cableName = cableNames(plan, box);
  const names = endNames(plan, box, cableName);
  const endName = (end: EndId): string => names.get(end) ?? 'conductor';
  const titles = deviceNames(plan, box);
  const steps: Step[] = [...(box === PANEL ? [PANEL_CAUTION] : []), ...jacketSteps(cables, cableName)];

  const taped = cables.flatMap(({ conductors }) => conductors.filter((one) => one.reidentified));
  if (taped.length > 0) {
    const words = taped.map(({ id }) => endName(endId(id, box)).replace(say('steps.taped'), ''));
    steps.push({
      id: 'tape',
      stage: 'tape',
      title:
        taped.length === 1
          ? say('steps.tapeHot', { words: words[0] ?? colorName('white') })
          : say('steps.tapeWhitesHots', { words: words.join(', ') }),
      detail: say('steps.tape'),
      why: say('steps.tape.why'),
      touches: taped.map(({ id }) => endId(id, box)),
    });
  }

  const spliced = spliceSteps(plan, box, endName, titles);
  for (const role of MAKE_UP_ORDER) steps.push(...spliced.filter(({ stage }) => stage === role));
  steps.push(...caps.map(({ end }) => capStep(plan, box, end, endName(end))));

  const boxGround = tails.find(({ to }) => to === boxGroundId(box));
  if (boxGround) {
    steps.push({
      id: 'box ground',
      stage: 'land',
      title:
        boxGround.uncut === null
          ? say('steps.bondBox')
          : say('steps.groundLeftLongBox', { end: capitalize(endName(boxGround.uncut)) }),
      detail: say('steps.n1032ScrewBackBox'),
      why: say('steps.bondBox.why'),
      touches: [boxGround.id, boxGround.to],
    });
  }
  for (const device of devices) {
    const kind = deviceKind(device.kind);
    const prefix = devices.length > 1 ? `${capitalize(titles.get(device.id) ?? kind.name)}: ` : '';
    const wants = Object.values(job.devices.find(({ id }) => id === device.id)?.wants ?? {});
    const circuits = new Set(wants.flatMap((want) => (want.does === 'power' ? [want.circuit] : [])));
    for (const tab of kind.tabs.filter(({ id }) => device.brokenTabs.includes(id))) {
      const only = device.brokenTabs.length === 1 && kind.tabs.length > 1;
      steps.push({
        id: `tab ${device.id} ${tab.id}`,
        stage: 'tab',
        title: say('steps.breakTrueOther', { prefix, tab: tab.name, only }),
        detail: only ? say('steps.otherTabStaysWhole') : '',
        why: whyBroken(
          tab.joins.some((id) => kind.terminals.find((one) => one.id === id)?.screw === 'silver'),
          circuits.size > 1,
        ),
        touches: [tabId(device.id, tab.id)],
      });
    }
    steps.push(...landingSteps(plan, box, device, endName, prefix));
  }
  if (box === PANEL) {
    steps.push(
      ...terminations.map(({ end, terminal }): Step => ({
        id: `land ${end}`,
        stage: 'land',
        title: `${capitalize(endName(end))} → ${panelLanding(job, terminal)}`,
        detail: '',
        why: say('steps.ownScrew.why'),
        touches: [end, slotId(terminal, end)],
      })),
    );
  }
  if (devices.length > 0) {
    // What was there stays as it is.
    const colors = job.devices.flatMap(({ id, box: at, color, was }) =>
      at === box && color !== null && !was
        ? say('steps.inColor', { device: titles.get(id) ?? '', color: DEVICE_COLOR_NAME[color] })
        : [],
    );
    const pins = devices.some(({ kind }) => deviceKind(kind).receptacle) ? job.habits.groundPin : null;
    steps.push({
      id: 'fold',
      stage: 'fold',
      title: say('steps.foldMount'),
      detail: say('steps.fold', {
        pins: pins === null ? '' : say('steps.groundPin', { pins: SIDE_NAME[pins] }),
        colors: colors.join(''),
      }),
      why: say('steps.fold.why'),
      touches: [],
    });
  }
  return steps;
}

/** What cites a broken tab: two circuits on one yoke, two neutrals that meet upstream, or one half that is switched. */
function whyBroken(neutral: boolean, twoCircuits: boolean): string {
  if (twoCircuits) return neutral ? say('steps.breakTab.twoNeutrals') : say('steps.breakTab.twoHots');
  return neutral ? say('steps.breakTab.twoPaths') : say('steps.breakTab.otherHot');
}

const PANEL_CAUTION: Step = {
  id: 'main off',
  stage: 'mark',
  title: say('steps.mainOff'),
  detail: say('steps.mainOff.how'),
  why: say('steps.mainOff.why'),
  touches: [],
};

/** Marking and stripping, of new cables only: what is made up already stays as it is. */
function jacketSteps(cables: readonly WiredCable[], names: ReadonlyMap<string, CableName>): Step[] {
  const fresh = cables.filter(({ existing, cord }) => !existing && !cord);
  const old = cables.filter(({ existing }) => existing);
  const title = (id: string) => sure(names.get(id), `name for ${id}`).title;
  const steps: Step[] = [];
  if (old.length > 1) {
    steps.push({
      id: 'tell apart',
      stage: 'mark',
      title: say('steps.tagExistingCables', { count: old.length }),
      detail: old.map(({ id }) => title(id)).join(' · '),
      why: say('steps.tagExisting.why'),
      touches: old.map(({ id }) => id),
    });
  }
  const cords = cables.filter(({ existing, cord }) => !existing && cord);
  steps.push(...cords.flatMap((cord) => cordSteps(cord, title(cord.id))));
  if (fresh.length === 0) return steps;
  const all = fresh.length === cables.length;
  const which = all ? '' : `: ${fresh.map(({ id }) => title(id)).join(', ')}`;
  steps.push({
    id: 'mark',
    stage: 'mark',
    title:
      fresh.length === 1
        ? say('steps.markTrueOtherJacket', { all })
        : all
          ? say('steps.markJackets', {
              count: fresh.length === 2 ? say('steps.both') : say('steps.all', { count: fresh.length }),
            })
          : say('steps.markNewJackets', { count: fresh.length }),
    detail: fresh.map(({ id }) => sure(names.get(id), `name for ${id}`).mark).join(' · '),
    why: say('steps.markJackets.why'),
    touches: fresh.map(({ id }) => id),
  });
  steps.push({
    id: 'strip',
    stage: 'strip',
    title: say('steps.stripSheath', { which }),
    detail: say('steps.freeConductor'),
    why: say('steps.freeConductor.why'),
    touches: fresh.map(({ id }) => id),
  });
  return steps;
}

/** A cord is held at both ends, its strands kept together; its plug is made up where it begins. */
function cordSteps(cord: WiredCable, name: string): Step[] {
  const { id } = cord;
  return [
    {
      id: `cord ${id}`,
      stage: 'strip',
      title: say('steps.cordIn', { name }),
      detail: say('steps.cordInDetail'),
      why: say('steps.cordWhy'),
      touches: [id],
    },
    {
      id: `strands ${id}`,
      stage: 'strip',
      title: say('steps.cordStranded'),
      detail: say('steps.cordStrandedDetail'),
      why: say('steps.cordStrandedWhy'),
      touches: [id],
    },
    ...(isHome(cord)
      ? [
          {
            id: `plug ${id}`,
            stage: 'strip' as const,
            title: say('steps.plug'),
            detail: say('steps.plugDetail'),
            why: say('steps.plugWhy'),
            touches: [id],
          },
        ]
      : []),
  ];
}

const ROLE_WORD: Record<NetRole, string> = {
  ground: say('steps.ground'),
  neutral: say('steps.neutral'),
  hot: say('steps.constantHot'),
  switched: say('steps.switchedHot'),
  traveler: say('steps.traveler'),
};

function capStep({ wiring, job }: Drawable, box: string, end: EndId, name: string): Step {
  const { cables } = inBox(wiring, box);
  const conductor = cables
    .flatMap(({ conductors }): readonly WiredConductor[] => conductors)
    .find(({ id }) => endId(id, box) === end);
  const role = conductor?.role ?? null;
  const number = job.circuits.find(({ id }) => id === conductor?.circuit)?.number;
  const of = number === undefined ? '' : say('steps.circuit', { number });
  const lost = cables.some(
    ({ run, conductors }) =>
      conductors.some(({ id }) => id === conductor?.id) &&
      job.runs.some(
        ({ id, found }) => id === run && conductor !== undefined && found.lost.includes(conductor.insulation),
      ),
  );
  const detail = lost
    ? say('steps.cap.broken')
    : role === null
      ? say('steps.cap.spare')
      : role === 'neutral'
        ? say('steps.cap.laterNeutral', { of })
        : role === 'ground'
          ? say('steps.cap.deadGround')
          : say('steps.cap.live', { role: ROLE_WORD[role], of });
  return {
    id: `cap ${end}`,
    stage: 'cap',
    title: say('steps.cap', { name }),
    detail,
    why: role === 'neutral' ? say('steps.cap.laterNeutral.why') : say('steps.cap.why'),
    touches: [end],
  };
}
