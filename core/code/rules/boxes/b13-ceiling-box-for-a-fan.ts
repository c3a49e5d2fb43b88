import { wishKind } from '../../../trade/devices';
import { endId } from '../../../job/model/keys';
import { WALL_ROOMS } from '../../../job/rooms/spacing';
import { isGround, isWhite } from '../../../trade/standards/cables';
import { at, section, type Hit, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const b13: Rule = {
  id: 'B13',
  title: say('b13.title'),
  section: section('314.27(C)'),
  severity: 'code',
  looksAt: say('b13.looksAt'),
  check: (site) =>
    site.job.boxes.flatMap((box): Hit[] => {
      const lit = site.job.devices.some(
        ({ box: id, kind }) => id === box.id && wishKind(kind).serves === 'light',
      );
      if (!lit || box.existing || box.reach !== 'ceiling' || box.fanListed === true) return [];
      if (!WALL_ROOMS.has(site.roomKind(box))) return [];
      // Through 2017 and 2020 a spare hot on its own switch is the sign of a fan to come; from 2023 the place is.
      const spare = site.contents(box.id).caps.some(({ end }) => {
        const insulation = site.wiring.cables
          .flatMap(({ conductors }) => conductors)
          .find(({ id }) => endId(id, box.id) === end)?.insulation;
        return insulation !== undefined && !isGround(insulation) && !isWhite(insulation);
      });
      if (site.edition !== '2023' && !spare) return [];
      return [
        {
          at: at('box', box.id),
          severity: box.fanListed === null ? 'ask' : 'code',
          ...(box.fanListed === null
            ? tell('b13.askListed', { box: box.name })
            : tell('b13.notListed', { box: box.name })),
          fix: {
            says: say('b13.boxListedFan'),
            commands: [{ do: 'set box', box: box.id, change: { fanListed: true } }],
          },
        },
      ];
    }),
};
