import { at, section, type Hit, type Rule } from '../rule';
import { EXPOSURE_NAME, MARK_NAME } from '../../../job/model/place-names';
import { andList } from '../../../base/words/lists';
import { say, tell } from '../../../base/words/rules';

export const p05: Rule = {
  id: 'P05',
  title: say('p05.title'),
  section: section('406.9(A), (B)'),
  severity: 'code',
  newWork: true,
  looksAt: say('p05.looksAt'),
  check: (site) =>
    site.receptacles.flatMap((device): Hit[] => {
      const box = site.box(device.box);
      const exposure = box?.exposure ?? 'dry';
      if (exposure === 'dry') {
        return site.roomKind(box) === 'outdoors'
          ? [
              {
                at: at('device', device.id),
                severity: 'ask' as const,
                ...tell('p05.finding', { box: box?.name ?? device.box }),
              },
            ]
          : [];
      }
      const needs = ['weather-resistant', exposure === 'wet' ? 'in-use cover' : 'damp cover'] as const;
      const lacks = needs.filter(
        (mark) =>
          !device.marks.includes(mark) && !(mark === 'damp cover' && device.marks.includes('in-use cover')),
      );
      return lacks.length === 0
        ? []
        : [
            {
              at: at('device', device.id),
              ...tell('p05.lacks', {
                box: box?.name ?? device.box,
                exposure: EXPOSURE_NAME[exposure],
                lacks: andList(lacks.map((mark) => MARK_NAME[mark])),
                extraDuty: lacks.includes('in-use cover'),
              }),
              fix: {
                says: andList(lacks.map((mark) => MARK_NAME[mark])),
                commands: [
                  {
                    do: 'set device' as const,
                    device: device.id,
                    change: { marks: [...device.marks, ...lacks] },
                  },
                ],
              },
            },
          ];
    }),
};
