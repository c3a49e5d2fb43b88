import { boxFill, countBox } from '../../../wiring/boxfill/box-fill';
import { boxesThatFit, totalVolumeIn3 } from '../../../wiring/boxfill/boxes-that-fit';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const b01: Rule = {
  id: 'B01',
  title: say('b01.boxOverFilled'),
  section: section('314.16(A), (B)'),
  severity: 'code',
  looksAt: say('b01.everyBox'),
  check: (site) =>
    site.job.boxes.flatMap((box) => {
      const count = countBox(site.wiring, box);
      const fill = boxFill(count, totalVolumeIn3(box), site.edition);
      if (fill.fits) return [];
      const larger = boxesThatFit(count, box.gangs, site.edition).find(({ family }) => family === box.family);
      return [
        {
          at: at('box', box.id),
          ...tell('b01.box', {
            box: box.name,
            totalIn3: fill.totalIn3.toFixed(2),
            volumeIn3: fill.volumeIn3,
          }),
          ...(larger && !box.existing
            ? {
                fix: {
                  says: say('b01.largerBox', { volumeIn3: larger.volumeIn3, larger: larger.name }),
                  commands: [
                    {
                      do: 'set box' as const,
                      box: box.id,
                      change: {
                        family: larger.family,
                        volumeIn3: larger.volumeIn3,
                        gangs: Math.max(larger.gangs, box.gangs),
                      },
                    },
                  ],
                },
              }
            : {}),
        },
      ];
    }),
};
