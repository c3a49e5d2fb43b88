import { wishKind } from '../../devices';
import { at, section, type Rule } from '../rule';

export const p08: Rule = {
  id: 'P08',
  title: 'AFCI receptacle not at the first outlet',
  section: section('210.12'),
  severity: 'code',
  newWork: true,
  looksAt: 'outlets ahead of an AFCI receptacle',
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
              message: `${site.box(ahead.device.box)?.name ?? ahead.device.box} is not behind it: the AFCI belongs at the first outlet of the circuit.`,
            },
          ]
        : [];
    }),
};
