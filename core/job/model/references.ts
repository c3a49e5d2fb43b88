import { byId } from '../../base/by-id';
import { wishKind } from '../../trade/devices';
import { surveyProblems } from './survey-references';
import { corners, crossesItself } from '../rooms/corners';
import { isHome, PANEL, type Design, type Room } from './design';
import type { JobRecord } from './record';
import type { Problem } from './problem';
import { say } from '../../base/words/model';

/**
 * What a schema of shapes cannot see: ids that name nothing, parts without a want, two devices in one gang; a run from a box to itself. Paths start at `design`.
 */
export function checkReferences(job: Design): Problem[] {
  const problems: Problem[] = [];
  const complain = (path: string, message: string, wayOut?: string) =>
    problems.push(wayOut ? { path: `design.${path}`, message, wayOut } : { path: `design.${path}`, message });

  const lists = {
    circuits: job.circuits,
    boxes: job.boxes,
    runs: job.runs,
    devices: job.devices,
    groups: job.groups,
    rooms: job.rooms,
    sheets: job.sheets,
  };
  const ids = Object.fromEntries(
    Object.entries(lists).map(([list, items]) => {
      const seen = new Set<string>();
      items.forEach((item, index) => {
        if (seen.has(item.id))
          complain(
            `${list}[${index}].id`,
            say('references.usedTwice', { item: item.id }),
            say('references.giveEachOwnId'),
          );
        seen.add(item.id);
      });
      return [list, seen];
    }),
  ) as Record<keyof typeof lists, Set<string>>;
  const names = (list: keyof typeof lists, id: string, path: string, what: string) => {
    if (!ids[list].has(id))
      complain(
        path,
        say('references.no', { what, id }),
        say('references.known', { value: [...ids[list]].join(', ') || 'none' }),
      );
  };

  const [boxes, devices, circuits] = [byId(job.boxes), byId(job.devices), byId(job.circuits)];
  if (ids.boxes.has(PANEL)) complain('boxes', say('references.reservedId', { panel: PANEL }));
  job.runs.forEach((run, index) => {
    for (const end of ['from', 'to'] as const) {
      if (run[end] !== PANEL) names('boxes', run[end], `runs[${index}].${end}`, 'box');
    }
    if (run.from === run.to) complain(`runs[${index}]`, say('references.runToItself', { run: run.id }));
    run.circuits?.forEach((circuit, at) =>
      names('circuits', circuit, `runs[${index}].circuits[${at}]`, 'circuit'),
    );
    if (isHome(run) && !run.circuits) {
      complain(
        `runs[${index}]`,
        say('references.feedWithoutCircuit', { run: run.id }),
        say('references.listCircuits'),
      );
    }
  });
  job.circuits.forEach((circuit, index) => {
    for (const field of ['multiwireWith', 'tiedWith'] as const) {
      const partner = circuit[field];
      if (partner === null) continue;
      names('circuits', partner, `circuits[${index}].${field}`, 'circuit');
      const back = circuits.get(partner)?.[field];
      if (partner === circuit.id || (back !== undefined && back !== circuit.id)) {
        complain(
          `circuits[${index}].${field}`,
          say('references.notPartners', { circuit: circuit.id, partner }),
        );
      }
    }
  });
  const gangs = new Map<string, string>();
  job.devices.forEach((device, index) => {
    const path = `devices[${index}]`;
    const { parts, yoke } = wishKind(device.kind);
    names('boxes', device.box, `${path}.box`, 'box');
    const box = boxes.get(device.box);
    if (box && yoke && device.gang >= box.gangs) {
      complain(
        `${path}.gang`,
        say('references.gangOneOther', { box: box.name, gangs: box.gangs }),
        say('references.chooseLargerBox'),
      );
    }
    const seat = `${device.box}/${device.gang}`;
    const other = gangs.get(seat);
    if (other && yoke)
      complain(`${path}.gang`, say('references.sameGang', { device: device.id, other, box: device.box }));
    if (yoke) gangs.set(seat, device.id);

    for (const part of parts) {
      const want = device.wants[part.id];
      if (!want)
        complain(`${path}.wants`, say('references.nothingSaid', { part: part.name, device: device.id }));
      else if (want.does !== part.does) {
        complain(
          `${path}.wants.${part.id}.does`,
          say('references.must', { part: part.name, kind: device.kind, does: part.does }),
        );
      }
    }
    for (const [part, want] of Object.entries(device.wants)) {
      const at = `${path}.wants.${part}`;
      if (!parts.some((candidate) => candidate.id === part))
        complain(at, say('references.noPart', { kind: device.kind, part }));
      if (want.does === 'control') names('groups', want.group, `${at}.group`, say('references.controlGroup'));
      else {
        names('circuits', want.circuit, `${at}.circuit`, 'circuit');
        if (want.control !== null)
          names('groups', want.control, `${at}.control`, say('references.controlGroup'));
        if (want.via !== null) {
          names('devices', want.via, `${at}.via`, 'device');
          const source = devices.get(want.via);
          if (source && !wishKind(source.kind).protection)
            complain(`${at}.via`, say('references.noLoadTerminals', { source: source.id }));
        }
      }
    }
  });
  const rooms = new Map(job.rooms.map((room) => [room.id, room]));
  job.boxes.forEach(({ spot, room: own, name }, index) => {
    if (own !== null) names('rooms', own, `boxes[${index}].room`, 'room');
    if (!spot) return;
    const room = rooms.get(spot.room);
    const wallFt = room?.wallsFt[spot.wall];
    if (!room) complain(`boxes[${index}].spot.room`, say('references.noRoom', { room: spot.room }));
    else if (wallFt === undefined)
      complain(
        `boxes[${index}].spot.wall`,
        say('references.walls', { room: room.name, wallsFtCount: room.wallsFt.length }),
      );
    else if (spot.alongFt > wallFt) {
      complain(`boxes[${index}].spot.alongFt`, say('references.pastWall', { name, wallFt }));
    }
  });
  for (const { path, sheet } of [
    ...job.rooms.map(({ plan }, index) => ({ path: `rooms[${index}].plan.sheet`, sheet: plan?.sheet })),
    ...job.boxes.map(({ at }, index) => ({ path: `boxes[${index}].at.sheet`, sheet: at?.sheet })),
    { path: 'panelAt.sheet', sheet: job.panelAt?.sheet },
  ])
    if (sheet !== undefined && !ids.sheets.has(sheet)) complain(path, say('references.noSheet', { sheet }));
  job.rooms.forEach((room, index) => {
    if (room.turnsDeg !== null) checkOutline(room, `rooms[${index}].turnsDeg`, complain);
    checkOpenings(room, `rooms[${index}].openings`, complain);
  });
  return problems;
}

type Complain = (path: string, message: string, wayOut?: string) => void;

/** A traced room turns at each of its corners, and its walls meet nowhere else. */
function checkOutline(room: Room, path: string, complain: Complain): void {
  const turns = room.turnsDeg?.length ?? 0;
  if (turns !== room.wallsFt.length)
    complain(path, say('references.turnsOfWalls', { room: room.name, walls: room.wallsFt.length, turns }));
  else if (crossesItself(corners(room)))
    complain(path, say('references.wallsCross', { room: room.name }), say('references.tapInOrder'));
}

/** A door lies on its wall, and on no other door. */
function checkOpenings({ name, openings, wallsFt }: Room, path: string, complain: Complain): void {
  openings.forEach((own, index) => {
    const lies =
      own.fromFt < own.toFt &&
      own.toFt <= (wallsFt[own.wall] ?? -1) &&
      !openings.some(
        (other, at) =>
          at !== index &&
          (other.id === own.id ||
            (other.wall === own.wall && other.fromFt < own.toFt && own.fromFt < other.toFt)),
      );
    if (!lies)
      complain(
        `${path}[${index}]`,
        say('references.openingPastWall', { room: name }),
        say('references.tapOnWall'),
      );
  });
}

/**
 * The same for what was asked, found and done. It may speak of boxes and runs that are gone from the design: it says
 * what was. Paths start at `record`.
 */
export function checkRecordReferences({ brief, surveys, log, photos }: JobRecord): Problem[] {
  const twice = (list: readonly { readonly id: string }[], path: string): Problem[] =>
    list.flatMap(({ id }, index) =>
      list.findIndex((one) => one.id === id) === index
        ? []
        : [
            {
              path: `record.${path}[${index}].id`,
              message: say('references.idTwice', { id }),
              wayOut: say('references.giveEachOwnId'),
            },
          ],
    );
  return [
    ...twice(brief.lines, 'brief.lines'),
    ...twice(surveys, 'surveys'),
    ...twice(photos, 'photos'),
    ...twiceInLog(log),
    ...surveys.flatMap((survey, index) => surveyProblems(survey, `record.surveys[${index}]`)),
  ];
}

/** The log is long: looked through once. */
function twiceInLog(log: JobRecord['log']): Problem[] {
  const seen = new Set<string>();
  return log.flatMap(({ id }, index) => {
    if (!seen.has(id)) {
      seen.add(id);
      return [];
    }
    return [
      {
        path: `record.log[${index}].id`,
        message: say('references.idTwice', { id }),
        wayOut: say('references.giveEachOwnId'),
      },
    ];
  });
}
