import { wishKind } from '../../../trade/devices';
import { at, section, type Hit, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

/** Surface luminaires in a closet keep 12 in from the storage space, recessed and fluorescent ones 6 in. */
const SURFACE_IN = 12;
const RECESSED_IN = 6;

export const r13: Rule = {
  id: 'R13',
  title: say('r13.title'),
  section: section('410.16(C)'),
  severity: 'code',
  newWork: true,
  looksAt: say('r13.luminairesClosets'),
  check: (site) =>
    site.job.devices.flatMap((device): Hit[] => {
      const box = site.box(device.box);
      if (!box || wishKind(device.kind).serves !== 'light' || site.roomKind(box) !== 'closet') return [];
      const away = box.storageIn;
      if (away !== null && away >= SURFACE_IN) return [];
      if (away !== null && away < RECESSED_IN) {
        return [
          {
            at: at('device', device.id),
            ...tell('r13.fromStorageSpace12Surface', { box: box.name, away }),
          },
        ];
      }
      return [
        {
          at: at('device', device.id),
          severity: 'ask',
          ...(away === null
            ? tell('r13.askDistance', { box: box.name })
            : tell('r13.tooNear', { box: box.name, away })),
        },
      ];
    }),
};
