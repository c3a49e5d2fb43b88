import { at, section, type Hit, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

/** A basin has a receptacle within this, ft. */
const BASIN_FT = 3;

export const r08: Rule = {
  id: 'R08',
  title: say('r08.noReceptacleWithin3Ft'),
  section: section('210.52(D)'),
  severity: 'code',
  looksAt: say('r08.receptaclesBathrooms'),
  check: (site) =>
    site.job.rooms.flatMap((room): Hit[] => {
      if (room.kind !== 'bathroom' || room.spacing === 'leave') return [];
      const boxes = new Set(
        site
          .usersIn(room.id)
          .filter(({ plug, want }) => plug && want.control === null)
          .map(({ device }) => site.box(device.box)),
      );
      const away = [...boxes].map((box) => box?.waterFt ?? null);
      if (away.length === 0 || away.some((ft) => ft !== null && ft <= BASIN_FT)) return [];
      const known = away.every((ft) => ft !== null) && (room.spacing === 'judge' || site.isNew(room.id));
      return [
        known
          ? {
              at: at('room', room.id),
              ...tell('r08.missing', { room: room.name }),
            }
          : {
              at: at('room', room.id),
              severity: 'ask',
              ...tell('r08.receptacleWithin3FtBasin', { room: room.name }),
            },
      ];
    }),
};
