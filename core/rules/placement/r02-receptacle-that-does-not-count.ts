import { spacing, WALL_ROOMS } from '../../rooms/spacing';
import { at, section, type Rule } from '../rule';

export const r02: Rule = {
  id: 'R02',
  title: 'A receptacle that does not count toward the spacing is the only one there',
  section: section('210.52'),
  severity: 'code',
  newWork: true,
  looksAt: 'receptacles on walls that count',
  check: (site) =>
    site.job.rooms.flatMap((room) =>
      WALL_ROOMS.has(room.kind)
        ? spacing(site.job, room).uncounted.map(({ device, why }) => ({
            at: at('device', device),
            severity: 'craft' as const,
            message: `It does not count toward the wall spacing of ${room.name}: ${why}.`,
          }))
        : [],
    ),
};
