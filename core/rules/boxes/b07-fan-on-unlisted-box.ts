import { wishKind } from '../../devices';
import { at, section, type Rule } from '../rule';

export const b07: Rule = {
  id: 'B07',
  title: 'Fan on a box not listed for it',
  section: section('314.27(C)'),
  severity: 'stop',
  newWork: true,
  looksAt: 'boxes that carry a fan',
  check: (site) =>
    site.job.devices.flatMap(({ kind, box: id }) => {
      const box = site.box(id);
      if (wishKind(kind).serves !== 'fan' || !box || box.fanListed === true) return [];
      return [
        {
          at: at('box', id),
          severity: box.fanListed === null ? ('ask' as const) : ('stop' as const),
          message:
            box.fanListed === null
              ? `Is ${box.name} listed to carry a fan?`
              : `${box.name} is not listed to carry a fan.`,
          fix: {
            says: 'A box listed for a fan',
            commands: [{ do: 'set box' as const, box: id, change: { fanListed: true } }],
          },
        },
      ];
    }),
};
