import { wishKind } from '../../../trade/devices';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const p08: Rule = {
  id: 'P08',
  title: say('p08.title'),
  section: section('210.12'),
  severity: 'code',
  newWork: true,
  looksAt: say('p08.outletsAheadAfciReceptacle'),
  check: (site) =>
    site.job.devices.flatMap((device) => {
      const kind = wishKind(device.kind).protection?.kind;
      if (kind !== 'afci' && kind !== 'dual') return [];
      const circuit = site.usersOf(device.id)[0]?.want.circuit;
      if (circuit === undefined || ['afci', 'dual'].includes(site.circuit(circuit)?.protection ?? ''))
        return [];
      const covered = new Set(site.proof.coverage.get(device.id) ?? []);
      const ahead = site.users.find(
        ({ want, plug, key, device: other }) =>
          want.circuit === circuit &&
          plug &&
          other.id !== device.id &&
          !covered.has(key) &&
          want.control === null,
      );
      return ahead
        ? [
            {
              at: at('device', device.id),
              ...tell('p08.finding', {
                box: site.box(ahead.device.box)?.name ?? ahead.device.box,
              }),
            },
          ]
        : [];
    }),
};
