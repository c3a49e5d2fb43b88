import { sure } from '../sure';
import { capitalize } from '../capitalize';
import { deviceKind } from '../devices';
import { inBox } from '../model/in-box';
import {
  boxGroundId,
  endId,
  slotId,
  tabId,
  type EndId,
  type NetRole,
  type WiredCable,
  type WiredConductor,
} from '../model/wiring';
import { PANEL } from '../model/design';
import type { Drawable } from '../plan';
import { cableNames, endNames } from './cable-names';
import { deviceNames } from './device-names';
import { Structure } from './fingerprint';
import { landingSteps } from './landing-steps';
import { MAKE_UP_ORDER } from './make-up';
import { panelContents, panelLanding } from './panel';
import { spliceSteps } from './splice-steps';
import type { NamedStep, Step } from './step';

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
  const names = endNames(plan, box);
  const endName = (end: EndId): string => names.get(end) ?? 'conductor';
  const titles = deviceNames(plan, box);
  const steps: Step[] = [...(box === PANEL ? [PANEL_CAUTION] : []), ...jacketSteps(plan, cables, box)];

  const taped = cables.flatMap(({ conductors }) => conductors.filter((one) => one.reidentified));
  if (taped.length > 0) {
    const words = taped.map(({ id }) => endName(endId(id, box)).replace(', taped', ''));
    steps.push({
      id: 'tape',
      stage: 'tape',
      title:
        taped.length === 1
          ? `Tape the ${words[0] ?? 'white'}: it is a hot`
          : `Tape the whites that are hots: ${words.join(', ')}`,
      detail: 'black or red tape, all the way round, here and at the other end',
      why: 'A white used as a hot is re-identified wherever it shows (200.7(C)(1)).',
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
      title: 'Ground pigtail → green screw of the box',
      detail: '10-32 screw in the back of the box',
      why: 'A metal box is bonded to the equipment ground (250.148(C), 314.4).',
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
        title: `${prefix}Break the ${tab.name}${only ? ' only' : ''}`,
        detail: only ? 'the other tab stays whole' : '',
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
        why: 'Each conductor under a screw of its own, unless the panel is marked for two (110.14(A), 408.41).',
        touches: [end, slotId(terminal, end)],
      })),
    );
  }
  if (devices.length > 0) {
    const pins = devices.some(({ kind }) => deviceKind(kind).receptacle) ? job.habits.groundPin : null;
    steps.push({
      id: 'fold',
      stage: 'fold',
      title: 'Fold and mount',
      detail: `grounds to the back, then neutrals, then hots; no bare ground near a terminal${pins === null ? '' : `; ground pin ${pins}`}`,
      why: 'A ground that touches a neutral screw trips GFCI and AFCI devices (common practice).',
      touches: [],
    });
  }
  return steps;
}

/** What cites a broken tab: two circuits on one yoke, two neutrals that meet upstream, or one half that is switched. */
function whyBroken(neutral: boolean, twoCircuits: boolean): string {
  if (twoCircuits)
    return neutral
      ? 'Each circuit keeps its own neutral: a whole tab would tie them together (200.4(A), 210.7).'
      : 'Two circuits on one yoke: a whole tab would tie their hots together (210.7).';
  return neutral
    ? 'The two neutrals meet upstream: a whole tab would give the net two paths (300.3(B)).'
    : 'One screw is on another hot than the other: a whole tab would join them (common practice).';
}

const PANEL_CAUTION: Step = {
  id: 'main off',
  stage: 'mark',
  title: 'Main off; the service lugs stay live',
  detail: 'qualified person; cover the lugs, prove the bars dead; this panel is allowed to hold splices',
  why: 'Splices may be in a panel where they leave room: not over 75 % of the space at any place (312.8).',
  touches: [],
};

/** Marking and stripping, of new cables only: what is made up already stays as it is. */
function jacketSteps(plan: Drawable, cables: readonly WiredCable[], box: string): Step[] {
  const names = cableNames(plan, box);
  const fresh = cables.filter(({ existing }) => !existing);
  const old = cables.filter(({ existing }) => existing);
  const title = (id: string) => sure(names.get(id), `name for ${id}`).title;
  const steps: Step[] = [];
  if (old.length > 1) {
    steps.push({
      id: 'tell apart',
      stage: 'mark',
      title: `Tag the ${old.length} existing cables`,
      detail: old.map(({ id }) => title(id)).join(' · '),
      why: 'Which cable is which is found dead, before anything is moved (common practice).',
      touches: old.map(({ id }) => id),
    });
  }
  if (fresh.length === 0) return steps;
  const all = fresh.length === cables.length;
  const which = all ? '' : `: ${fresh.map(({ id }) => title(id)).join(', ')}`;
  steps.push({
    id: 'mark',
    stage: 'mark',
    title:
      fresh.length === 1
        ? `Mark the ${all ? '' : 'new '}jacket`
        : all
          ? `Mark ${fresh.length === 2 ? 'both' : `all ${fresh.length}`} jackets`
          : `Mark the ${fresh.length} new jackets`,
    detail: fresh.map(({ id }) => sure(names.get(id), `name for ${id}`).mark).join(' · '),
    why: 'Once the sheath is off, a cable can no longer be told by its jacket (common practice).',
    touches: fresh.map(({ id }) => id),
  });
  steps.push({
    id: 'strip',
    stage: 'strip',
    title: `Strip the sheath${which}`,
    detail: 'leave ¼ in inside the box, 7 to 8 in of free conductor',
    why: 'At least 6 in from the sheath and 3 in past the front of the box (300.14); sheath ¼ in inside (314.17).',
    touches: fresh.map(({ id }) => id),
  });
  return steps;
}

const ROLE_WORD: Record<NetRole, string> = {
  ground: 'ground',
  neutral: 'neutral',
  hot: 'constant hot',
  switched: 'switched hot',
  traveler: 'traveler',
};

function capStep({ wiring, job }: Drawable, box: string, end: EndId, name: string): Step {
  const { cables } = inBox(wiring, box);
  const conductor = cables
    .flatMap(({ conductors }): readonly WiredConductor[] => conductors)
    .find(({ id }) => endId(id, box) === end);
  const role = conductor?.role ?? null;
  const number = job.circuits.find(({ id }) => id === conductor?.circuit)?.number;
  const of = number === undefined ? '' : ` of circuit ${number}`;
  const lost = cables.some(
    ({ run, conductors }) =>
      conductors.some(({ id }) => id === conductor?.id) &&
      job.runs.some(
        ({ id, found }) => id === run && conductor !== undefined && found.lost.includes(conductor.insulation),
      ),
  );
  const detail = lost
    ? 'found broken on the way: mark it, and use it for nothing'
    : role === null
      ? 'spare: it carries nothing at either end; fold it back'
      : role === 'neutral'
        ? `neutral${of}, for a later switch; leave it reachable`
        : role === 'ground'
          ? 'ground that leads to none; nothing is bonded to it'
          : `${ROLE_WORD[role]}${of}: live while in use, and goes no further here`;
  return {
    id: `cap ${end}`,
    stage: 'cap',
    title: `Cap the ${name}`,
    detail,
    why:
      role === 'neutral'
        ? 'A neutral waits at the switch for a later electronic switch (404.2(C), habit of the house).'
        : 'A conductor that ends in a box is closed off (110.14(B)).',
    touches: [end],
  };
}
