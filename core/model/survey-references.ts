import { deviceKind } from '../devices';
import type { Problem } from './problem';
import type { Probe, SeenBox, Spot, Survey, Value } from './survey';
import { cableRow } from '../standards/cables';

/** What a survey names and does not have: cables, devices, terminals, boxes; ids used twice. */
export function surveyProblems(survey: Survey, path: string): Problem[] {
  const problems: Problem[] = [];
  const say = (where: string, message: string, wayOut = 'Choose one that is there, or add it.') =>
    problems.push({ path: `${path}.${where}`, message, wayOut });
  const twice = (ids: readonly string[], what: string, where: string) => {
    for (const id of new Set(ids.filter((one, index) => ids.indexOf(one) !== index))) {
      say(where, `there are two ${what} "${id}"`, 'Give one of them another id.');
    }
  };
  twice(
    survey.boxes.map(({ id }) => id),
    'boxes',
    'boxes',
  );
  twice(
    survey.boxes.flatMap(({ cables }) => cables.map(({ id }) => id)),
    'cables',
    'boxes',
  );
  twice(
    survey.boxes.flatMap(({ devices }) => devices.map(({ id }) => id)),
    'devices',
    'boxes',
  );
  twice(
    survey.readings.map(({ id }) => id),
    'readings',
    'readings',
  );
  if (!survey.boxes.some(({ id }) => id === survey.target)) {
    say('target', `there is no opened box "${survey.target}"`);
  }
  survey.boxes.forEach((box, index) =>
    boxProblems(box, (where, message) => say(`boxes[${index}].${where}`, message)),
  );

  const cables = new Map(
    survey.boxes.flatMap((box) => box.cables.map((cable) => [cable.id, { box, cable }] as const)),
  );
  survey.same.forEach(({ a, b }, index) => {
    const [one, other] = [cables.get(a), cables.get(b)];
    if (!one || !other) say(`same[${index}]`, `there is no cable "${one ? b : a}"`);
    else if (one.box === other.box) say(`same[${index}]`, 'a cable cannot be seen twice in one box');
    else if (one.cable.type !== other.cable.type)
      say(`same[${index}]`, `a ${one.cable.type} cannot be a ${other.cable.type}`);
  });
  const spotProblem = (spot: Spot): string | null => {
    if (spot.on === 'ground')
      return survey.boxes.some(({ id }) => id === spot.box) ? null : `there is no opened box "${spot.box}"`;
    const known = cables.get(spot.cable);
    if (!known) return `there is no cable "${spot.cable}"`;
    const has = known.box.ends.some((end) => end.cable === spot.cable && end.insulation === spot.insulation);
    return has ? null : `the cable "${spot.cable}" has no ${spot.insulation}`;
  };
  survey.readings.forEach(({ probe, value }, index) => {
    const shows = SHOWS[probe.with];
    if (value.is !== shows && value.is !== 'tripped') {
      say(
        `readings[${index}].value`,
        `a ${probe.with} reading is in ${shows}, not in ${value.is}`,
        'Take it again with that instrument, or name the one it was taken with.',
      );
    }
    if (value.is === 'volts' && value.low > value.high)
      say(
        `readings[${index}].value`,
        `its smallest, ${value.low} V, is over its largest, ${value.high} V`,
        'Change them over.',
      );
    for (const spot of spotsOf(probe)) {
      const wrong = spotProblem(spot);
      if (wrong) say(`readings[${index}].probe`, wrong);
    }
    if (probe.with === 'sweep' && !survey.boxes.some(({ id }) => id === probe.box))
      say(`readings[${index}].probe`, `there is no opened box "${probe.box}"`);
    if (probe.with !== 'tester') return;
    const device = survey.boxes.flatMap(({ devices }) => devices).find(({ id }) => id === probe.device);
    if (!device || !deviceKind(device.kind).parts.some(({ id }) => id === probe.part)) {
      say(`readings[${index}].probe`, `there is no outlet "${probe.part}" on "${probe.device}"`);
    }
  });
  return problems;
}

/** What each instrument shows. */
const SHOWS = {
  'non-contact': 'glow',
  meter: 'volts',
  lamp: 'lamp',
  continuity: 'ohms',
  tester: 'lights',
  clamp: 'amps',
  sweep: 'glow',
  drop: 'drop',
  residual: 'volts',
  'panel clamp': 'amps',
  'lifted neutral': 'ohms',
} as const satisfies Record<Probe['with'], Value['is']>;

function spotsOf(probe: Probe): Spot[] {
  switch (probe.with) {
    case 'tester':
    case 'sweep':
      return [];
    case 'drop':
      return [probe.hot, probe.neutral, probe.ground];
    case 'residual':
    case 'lifted neutral':
      return [probe.neutral, probe.ground];
    case 'panel clamp':
      return [probe.hot, probe.neutral];
    case 'non-contact':
    case 'clamp':
      return [probe.at];
    default:
      return [probe.from, probe.to];
  }
}

function boxProblems(box: SeenBox, say: (where: string, message: string) => void): void {
  const terminalKnown = (device: string, terminal: string): boolean => {
    const one = box.devices.find(({ id }) => id === device);
    return one !== undefined && deviceKind(one.kind).terminals.some(({ id }) => id === terminal);
  };
  const seen = new Set<string>();
  box.ends.forEach(({ cable, insulation, sits }, index) => {
    const key = `${cable}:${insulation}`;
    if (seen.has(key)) say(`ends[${index}]`, `the ${insulation} of "${cable}" is said twice`);
    seen.add(key);
    const own = box.cables.find(({ id }) => id === cable);
    const has =
      own && (cableRow(own.type).insulated.includes(insulation) || (insulation === 'bare' && own.hasGround));
    if (!has) say(`ends[${index}]`, `"${cable}" in ${box.name} has no ${insulation}`);
    if (sits.at === 'terminal' && !terminalKnown(sits.device, sits.terminal)) {
      say(`ends[${index}].sits`, `there is no screw "${sits.terminal}" on "${sits.device}"`);
    }
  });
  for (const { id, type, hasGround } of box.cables) {
    for (const insulation of [...cableRow(type).insulated, ...(hasGround ? (['bare'] as const) : [])]) {
      if (!seen.has(`${id}:${insulation}`))
        say('ends', `nothing is said of the ${insulation} of "${id}" in ${box.name}`);
    }
  }
  box.tails.forEach(({ device, terminal }, index) => {
    if (!terminalKnown(device, terminal))
      say(`tails[${index}]`, `there is no screw "${terminal}" on "${device}"`);
  });
}
