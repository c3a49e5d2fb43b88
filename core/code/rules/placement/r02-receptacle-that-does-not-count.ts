import { spacing, WALL_ROOMS } from '../../../job/rooms/spacing';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const r02: Rule = {
  id: 'R02',
  title: say('r02.title'),
  section: section('210.52'),
  severity: 'code',
  newWork: true,
  looksAt: say('r02.receptaclesWallsCount'),
  check: (site) =>
    site.job.rooms.flatMap((room) =>
      WALL_ROOMS.has(room.kind)
        ? spacing(site.job, room).uncounted.map(({ device, why }) => ({
            at: at('device', device),
            severity: 'craft' as const,
            ...tell('r02.finding', { room: room.name, why }),
          }))
        : [],
    ),
};
