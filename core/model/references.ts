import { wishKind } from '../devices';
import { surveyProblems } from './survey-references';
import { PANEL, type Design } from './design';
import type { JobRecord } from './record';
import type { Problem } from './problem';

/**
 * What a schema of shapes cannot see: ids that name nothing, parts without a want, two devices in one gang; a run from a box to itself. Paths start at `design`.
 */
export function checkReferences(job: Design): Problem[] {
  const problems: Problem[] = [];
  const say = (path: string, message: string, wayOut?: string) =>
    problems.push(wayOut ? { path: `design.${path}`, message, wayOut } : { path: `design.${path}`, message });

  const lists = {
    circuits: job.circuits,
    boxes: job.boxes,
    runs: job.runs,
    devices: job.devices,
    groups: job.groups,
    rooms: job.rooms,
  };
  const ids = Object.fromEntries(
    Object.entries(lists).map(([list, items]) => {
      const seen = new Set<string>();
      items.forEach((item, index) => {
        if (seen.has(item.id))
          say(`${list}[${index}].id`, `"${item.id}" is used twice`, 'Give each its own id.');
        seen.add(item.id);
      });
      return [list, seen];
    }),
  ) as Record<keyof typeof lists, Set<string>>;
  const names = (list: keyof typeof lists, id: string, path: string, what: string) => {
    if (!ids[list].has(id))
      say(path, `there is no ${what} "${id}"`, `Known: ${[...ids[list]].join(', ') || 'none'}.`);
  };

  if (ids.boxes.has(PANEL)) say('boxes', `a box may not have the id "${PANEL}"`);
  job.runs.forEach((run, index) => {
    for (const end of ['from', 'to'] as const) {
      if (run[end] !== PANEL) names('boxes', run[end], `runs[${index}].${end}`, 'box');
    }
    if (run.from === run.to) say(`runs[${index}]`, `run "${run.id}" starts and ends in the same box`);
    run.circuits?.forEach((circuit, at) =>
      names('circuits', circuit, `runs[${index}].circuits[${at}]`, 'circuit'),
    );
    if ((run.from === PANEL || run.to === PANEL) && !run.circuits) {
      say(`runs[${index}]`, `run "${run.id}" leaves the panel but names no circuit`, 'List its circuits.');
    }
  });
  job.circuits.forEach((circuit, index) => {
    for (const field of ['multiwireWith', 'tiedWith'] as const) {
      const partner = circuit[field];
      if (partner === null) continue;
      names('circuits', partner, `circuits[${index}].${field}`, 'circuit');
      const back = job.circuits.find(({ id }) => id === partner)?.[field];
      if (partner === circuit.id || (back !== undefined && back !== circuit.id)) {
        say(`circuits[${index}].${field}`, `"${circuit.id}" and "${partner}" do not name each other`);
      }
    }
  });
  const gangs = new Map<string, string>();
  job.devices.forEach((device, index) => {
    const path = `devices[${index}]`;
    const { parts, yoke } = wishKind(device.kind);
    names('boxes', device.box, `${path}.box`, 'box');
    const box = job.boxes.find((candidate) => candidate.id === device.box);
    if (box && yoke && device.gang >= box.gangs) {
      say(
        `${path}.gang`,
        `${box.name} has ${box.gangs} gang${box.gangs === 1 ? '' : 's'}`,
        'Choose a larger box.',
      );
    }
    const seat = `${device.box}/${device.gang}`;
    const other = gangs.get(seat);
    if (other && yoke)
      say(`${path}.gang`, `"${device.id}" and "${other}" are in the same gang of "${device.box}"`);
    if (yoke) gangs.set(seat, device.id);

    for (const part of parts) {
      const want = device.wants[part.id];
      if (!want) say(`${path}.wants`, `nothing is said of the ${part.name} of "${device.id}"`);
      else if (want.does !== part.does) {
        say(`${path}.wants.${part.id}.does`, `the ${part.name} of a ${device.kind} must be "${part.does}"`);
      }
    }
    for (const [part, want] of Object.entries(device.wants)) {
      const at = `${path}.wants.${part}`;
      if (!parts.some((candidate) => candidate.id === part))
        say(at, `a ${device.kind} has no part "${part}"`);
      if (want.does === 'control') names('groups', want.group, `${at}.group`, 'control group');
      else {
        names('circuits', want.circuit, `${at}.circuit`, 'circuit');
        if (want.control !== null) names('groups', want.control, `${at}.control`, 'control group');
        if (want.via !== null) {
          names('devices', want.via, `${at}.via`, 'device');
          const source = job.devices.find(({ id }) => id === want.via);
          if (source && !wishKind(source.kind).protection)
            say(`${at}.via`, `"${source.id}" has no LOAD terminals`);
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
    if (!room) say(`boxes[${index}].spot.room`, `there is no room "${spot.room}"`);
    else if (wallFt === undefined)
      say(`boxes[${index}].spot.wall`, `${room.name} has ${room.wallsFt.length} walls`);
    else if (spot.alongFt > wallFt) {
      say(`boxes[${index}].spot.alongFt`, `${name} would be past the end of a wall of ${wallFt} ft`);
    }
  });
  return problems;
}

/**
 * The same for what was asked, found and done. It may speak of boxes and runs that are gone from the design: it says
 * what was. Paths start at `record`.
 */
export function checkRecordReferences({ brief, surveys }: JobRecord): Problem[] {
  const twice = (list: readonly { readonly id: string }[], path: string): Problem[] =>
    list.flatMap(({ id }, index) =>
      list.findIndex((one) => one.id === id) === index
        ? []
        : [
            {
              path: `record.${path}[${index}].id`,
              message: `"${id}" is used twice`,
              wayOut: 'Give each its own id.',
            },
          ],
    );
  return [
    ...twice(brief.lines, 'brief.lines'),
    ...twice(surveys, 'surveys'),
    ...surveys.flatMap((survey, index) => surveyProblems(survey, `record.surveys[${index}]`)),
  ];
}
