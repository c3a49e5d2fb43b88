import { cableRow } from '../../../trade/standards/cables';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const s05: Rule = {
  id: 'S05',
  title: say('s05.title'),
  section: section('110.3(B)'),
  severity: 'code',
  looksAt: say('s05.looksAt'),
  check: (site) =>
    site.job.habits.pushIn === 'never'
      ? []
      : site.wiring.devices.flatMap(({ id, box }) => {
          const gauges = site.contents(box).cables.map(({ type }) => cableRow(type).gauge);
          return gauges.some((gauge) => gauge !== 14)
            ? [
                {
                  at: at('device', id),
                  ...tell('s05.finding', {
                    gauges: gauges.find((gauge) => gauge !== 14) ?? 12,
                  }),
                  fix: {
                    says: say('s05.noPushTerminalsJob'),
                    commands: [{ do: 'set habits' as const, habits: { pushIn: 'never' as const } }],
                  },
                },
              ]
            : [];
        }),
};
