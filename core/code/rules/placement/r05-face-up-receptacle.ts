import { at, section, type Rule } from '../rule';
import { FACES_NAME } from '../../../job/model/place-names';
import { say, tell } from '../../../base/words/rules';

export const r05: Rule = {
  id: 'R05',
  title: say('r05.title'),
  section: section('406.5, 314.27(B), 406.9(C)'),
  severity: 'stop',
  newWork: true,
  looksAt: say('r05.looksAt'),
  check: (site) =>
    site.receptacles.flatMap((device) => {
      const box = site.box(device.box);
      if (!box) return [];
      if (box.faces === 'up in a counter' || box.faces === 'in a floor') {
        return [
          {
            at: at('device', device.id),
            ...tell('r05.faceUp', { box: box.name, faces: FACES_NAME[box.faces] }),
          },
        ];
      }
      if (box.inTubSpace)
        return [{ at: at('device', device.id), ...tell('r05.insideTubShowerSpace', { box: box.name }) }];
      const zoneFt = site.edition === '2017' ? 0 : 3;
      const { waterFt } = box;
      return site.roomKind(box) === 'bathroom' &&
        waterFt !== null &&
        waterFt <= zoneFt &&
        (box.heightIn ?? 0) <= 96
        ? [
            {
              at: at('device', device.id),
              severity: site.edition === '2017' ? ('stop' as const) : ('ask' as const),
              ...tell('r05.nearTub', {
                box: box.name,
                waterFt,
                zoneFt: zoneFt > 0,
              }),
            },
          ]
        : [];
    }),
};
