import { roomOf } from '../model/room-of';
import { wishKind } from '../../trade/devices';
import type { Box, Design, Room, RoomKind } from '../model/design';
import type { Edition } from '../../trade/standards/source';
import type { Gap } from './spacing';

/** No point along a wall counter farther than this from a receptacle, ft; counters from this width on count. NEC 210.52(C)(1), from memory. */
const COUNTER_FT = 2;
const COUNTS_FT = 1;
/** Higher than this above the counter it does not serve it: 20 in, on a counter of 36 in, from the floor, in. */
const COUNTER_HIGH_IN = 56;

/** Rooms whose counters are judged (NEC 210.52(C), from memory). */
export const COUNTERED: ReadonlySet<RoomKind> = new Set<RoomKind>(['kitchen', 'pantry', 'dining']);

/** Boxes of a room with a receptacle that serves a countertop and is always on; one inside a cabinet serves none. */
export function counterOutlets(job: Design, room: Room): Box[] {
  return job.boxes.filter(
    (box) =>
      box.counter &&
      box.reach !== 'in cabinet' &&
      roomOf(box) === room.id &&
      (box.heightIn ?? 0) <= COUNTER_HIGH_IN &&
      job.devices.some(
        (device) =>
          device.box === box.id &&
          wishKind(device.kind).receptacle &&
          Object.values(device.wants).some((want) => want.does === 'power' && want.control === null),
      ),
  );
}

/** Stretches of the wall counters that are more than 2 ft from a countertop receptacle on that wall. */
export function counterGaps(job: Design, room: Room): Gap[] {
  const outlets = counterOutlets(job, room);
  return room.counters.flatMap((counter): Gap[] => {
    if (counter.kind !== 'wall' || counter.toFt - counter.fromFt < COUNTS_FT) return [];
    const marks = outlets
      .flatMap(({ spot }) => (spot?.wall === counter.wall ? [spot.alongFt] : []))
      .filter((ft) => ft >= counter.fromFt && ft <= counter.toFt)
      .sort((a, b) => a - b);
    const gaps: Gap[] = [];
    let reachedFt = counter.fromFt;
    for (const mark of [...marks, counter.toFt + COUNTER_FT]) {
      if (mark - COUNTER_FT > reachedFt + 1e-9)
        gaps.push({ wall: counter.wall, fromFt: reachedFt, toFt: Math.min(mark - COUNTER_FT, counter.toFt) });
      reachedFt = Math.max(reachedFt, mark + COUNTER_FT);
    }
    return gaps;
  });
}

/**
 * How many receptacles the islands and peninsulas of a room ask for: one each from 24 by 12 in on in 2017; by area in
 * 2020, one for the first 9 ft² and one for each 18 ft² more; none in 2023, which asks for provisions only. NEC
 * 210.52(C)(2), (3), from memory.
 */
export function islandsNeed(edition: Edition, room: Room): number {
  return room.counters.reduce((sum, counter) => {
    if (counter.kind === 'wall' || edition === '2023') return sum;
    if (edition === '2017') return sum + (counter.longFt >= 2 && counter.shortFt >= 1 ? 1 : 0);
    const area = counter.longFt * counter.shortFt;
    return sum + 1 + Math.max(Math.ceil((area - 9) / 18), 0);
  }, 0);
}
