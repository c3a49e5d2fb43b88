import { boxFill, countBox } from '../../boxfill/box-fill';
import { boxesThatFit, totalVolumeIn3 } from '../../boxfill/boxes-that-fit';
import { at, section, type Rule } from '../rule';

export const b01: Rule = {
  id: 'B01',
  title: 'Box over-filled',
  section: section('314.16(A), (B)'),
  severity: 'code',
  looksAt: 'every box',
  check: (site) =>
    site.job.boxes.flatMap((box) => {
      const count = countBox(site.wiring, box);
      const fill = boxFill(count, totalVolumeIn3(box), site.edition);
      if (fill.fits) return [];
      const larger = boxesThatFit(count, box.gangs, site.edition).find(({ family }) => family === box.family);
      return [
        {
          at: at('box', box.id),
          message: `${box.name}: ${fill.totalIn3.toFixed(2)} in³ in a box of ${fill.volumeIn3} in³.`,
          ...(larger && !box.existing
            ? {
                fix: {
                  says: `A box of ${larger.volumeIn3} in³: ${larger.name}`,
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
