import { deviceKind } from '../../trade/devices';
import type { Problem } from './problem';
import type { Probe, SeenBox, Spot, Survey, Value } from './survey';
import { cableRow } from '../../trade/standards/cables';
import { say } from '../../base/words/model';

/** What a survey names and does not have: cables, devices, terminals, boxes; ids used twice. */
export function surveyProblems(survey: Survey, path: string): Problem[] {
  const problems: Problem[] = [];
  const complain = (where: string, message: string, wayOut = say('surveyReferences.chooseOneAdd')) =>
    problems.push({ path: `${path}.${where}`, message, wayOut });
  const twice = (ids: readonly string[], what: string, where: string) => {
    for (const id of new Set(ids.filter((one, index) => ids.indexOf(one) !== index))) {
      complain(where, say('surveyReferences.two', { what, id }), say('surveyReferences.otherId'));
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
    complain('target', say('surveyReferences.noOpenedBox', { target: survey.target }));
  }
  survey.boxes.forEach((box, index) =>
    boxProblems(box, (where, message) => complain(`boxes[${index}].${where}`, message)),
  );

  const cables = new Map(
    survey.boxes.flatMap((box) => box.cables.map((cable) => [cable.id, { box, cable }] as const)),
  );
  survey.same.forEach(({ a, b }, index) => {
    const [one, other] = [cables.get(a), cables.get(b)];
    if (!one || !other) complain(`same[${index}]`, say('surveyReferences.noCable', { one: one ? b : a }));
    else if (one.box === other.box) complain(`same[${index}]`, say('surveyReferences.cableTwice'));
    else if (one.cable.type !== other.cable.type)
      complain(
        `same[${index}]`,
        say('surveyReferences.cannotBe', { type: one.cable.type, other: other.cable.type }),
      );
  });
  const spotProblem = (spot: Spot): string | null => {
    if (spot.on === 'ground')
      return survey.boxes.some(({ id }) => id === spot.box)
        ? null
        : say('surveyReferences.boxMissing', { box: spot.box });
    const known = cables.get(spot.cable);
    if (!known) return say('surveyReferences.cableMissing', { cable: spot.cable });
    const has = known.box.ends.some((end) => end.cable === spot.cable && end.insulation === spot.insulation);
    return has ? null : say('surveyReferences.cableNo', { cable: spot.cable, insulation: spot.insulation });
  };
  survey.readings.forEach(({ probe, value }, index) => {
    const shows = SHOWS[probe.with];
    if (value.is !== shows && value.is !== 'tripped') {
      complain(
        `readings[${index}].value`,
        say('surveyReferences.readingNot', { with: probe.with, shows, is: value.is }),
        say('surveyReferences.retakeOrName'),
      );
    }
    if (value.is === 'volts' && value.low > value.high)
      complain(
        `readings[${index}].value`,
        say('surveyReferences.rangeReversed', { low: value.low, high: value.high }),
        say('surveyReferences.changeThemOver'),
      );
    for (const spot of spotsOf(probe)) {
      const wrong = spotProblem(spot);
      if (wrong) complain(`readings[${index}].probe`, wrong);
    }
    if (probe.with === 'sweep' && !survey.boxes.some(({ id }) => id === probe.box))
      complain(`readings[${index}].probe`, say('surveyReferences.boxMissing', { box: probe.box }));
    if (probe.with !== 'tester') return;
    const device = survey.boxes.flatMap(({ devices }) => devices).find(({ id }) => id === probe.device);
    if (!device || !deviceKind(device.kind).parts.some(({ id }) => id === probe.part)) {
      complain(
        `readings[${index}].probe`,
        say('surveyReferences.noOutlet', { part: probe.part, device: probe.device }),
      );
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
  'feed clamp': 'amps',
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
    case 'feed clamp':
      return [probe.hot, probe.neutral];
    case 'non-contact':
    case 'clamp':
      return [probe.at];
    default:
      return [probe.from, probe.to];
  }
}

function boxProblems(box: SeenBox, complain: (where: string, message: string) => void): void {
  const terminalKnown = (device: string, terminal: string): boolean => {
    const one = box.devices.find(({ id }) => id === device);
    return one !== undefined && deviceKind(one.kind).terminals.some(({ id }) => id === terminal);
  };
  const seen = new Set<string>();
  box.ends.forEach(({ cable, insulation, sits }, index) => {
    const key = `${cable}:${insulation}`;
    if (seen.has(key)) complain(`ends[${index}]`, say('surveyReferences.saidTwice', { insulation, cable }));
    seen.add(key);
    const own = box.cables.find(({ id }) => id === cable);
    const has =
      own && (cableRow(own.type).insulated.includes(insulation) || (insulation === 'bare' && own.hasGround));
    if (!has) complain(`ends[${index}]`, say('surveyReferences.no', { cable, box: box.name, insulation }));
    if (sits.at === 'terminal' && !terminalKnown(sits.device, sits.terminal)) {
      complain(
        `ends[${index}].sits`,
        say('surveyReferences.noScrew', { terminal: sits.terminal, device: sits.device }),
      );
    }
  });
  for (const { id, type, hasGround } of box.cables) {
    for (const insulation of [...cableRow(type).insulated, ...(hasGround ? (['bare'] as const) : [])]) {
      if (!seen.has(`${id}:${insulation}`))
        complain('ends', say('surveyReferences.nothingSaid', { insulation, id, box: box.name }));
    }
  }
  box.tails.forEach(({ device, terminal }, index) => {
    if (!terminalKnown(device, terminal))
      complain(`tails[${index}]`, say('surveyReferences.noScrew', { terminal, device }));
  });
}
