import { wishKind } from '../../../trade/devices';
import { gfciNeed } from './gfci-need';
import { placeOf } from './place';
import { grownBy } from '../../protection/kinds';
import { at, section, type Hit, type Rule } from '../rule';
import { partNameOf } from '../../../wiring/makeup/device-names';
import { say, tell } from '../../../base/words/rules';

export const p01: Rule = {
  id: 'P01',
  title: say('p01.gfciProtectionNeeded'),
  section: section('210.8(A)'),
  severity: 'stop',
  newWork: true,
  looksAt: say('p01.everyOutletPlace'),
  check: (site) => {
    const covered = site.protectedBy(['gfci', 'dual']);
    const open = site.users.filter(({ key, plug }) => plug && !covered.has(key));
    const unsaid = site.job.boxes
      .filter((box) => !site.room(box) && open.some(({ device }) => device.box === box.id))
      .map((box): Hit => ({
        at: at('box', box.id),
        severity: 'ask',
        ...tell('p01.askRoom', { box: box.name }),
      }));
    const needed = site.users.flatMap(({ key, part, plug, want, device }): Hit[] => {
      const box = site.box(device.box);
      const need = box && gfciNeed(site.edition, placeOf(site, box));
      const lightsToo = need?.lights === true;
      if (!box || !need || (!plug && !lightsToo) || covered.has(key)) return [];
      const circuit = site.circuit(want.circuit);
      const breaker = circuit && {
        says: say('p01.gfciBreakerCircuit', { number: circuit.number }),
        commands: [
          {
            do: 'set circuit' as const,
            circuit: circuit.id,
            change: { protection: grownBy(circuit.protection, 'gfci') },
          },
        ],
      };
      const own =
        wishKind(device.kind).halves &&
        Object.values(device.wants).every((one) => one.does === 'power' && one.control === null);
      const receptacle = own
        ? {
            says: say('p01.gfciReceptacleHere'),
            commands: [{ do: 'set kind' as const, device: device.id, kind: 'gfci' as const }],
          }
        : undefined;
      const fix = receptacle ?? breaker;
      return [
        {
          at: at('device', device.id),
          severity: need.sure ? ('stop' as const) : ('ask' as const),
          ...tell('p01.placeNeeds', {
            box: box.name,
            part: partNameOf(wishKind(device.kind), part),
            reason: need.reason,
          }),
          ...(fix ? { fix } : {}),
        },
      ];
    });
    return [...needed, ...unsaid];
  },
};
