import { wishKind } from '../../../trade/devices';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const b07: Rule = {
  id: 'B07',
  title: say('b07.fanBoxNotListed'),
  section: section('314.27(C)'),
  severity: 'stop',
  newWork: true,
  looksAt: say('b07.boxesCarryFan'),
  check: (site) =>
    site.job.devices.flatMap(({ kind, box: id }) => {
      const box = site.box(id);
      if (!wishKind(kind).paddles || !box || box.fanListed === true) return [];
      return [
        {
          at: at('box', id),
          severity: box.fanListed === null ? ('ask' as const) : ('stop' as const),
          ...(box.fanListed === null
            ? tell('b07.listedCarryFan', { box: box.name })
            : tell('b07.notListedCarryFan', { box: box.name })),
          fix: {
            says: say('b07.boxListedFan'),
            commands: [{ do: 'set box' as const, box: id, change: { fanListed: true } }],
          },
        },
      ];
    }),
};
