import { cableRow } from '../../standards/cables';
import { at, section, type Rule } from '../rule';

export const s05: Rule = {
  id: 'S05',
  title: 'Push-in terminal with anything but 14 AWG solid copper',
  section: section('110.3(B)'),
  severity: 'code',
  looksAt: 'the habit of push-in terminals and the gauges at devices',
  check: (site) =>
    site.job.habits.pushIn === 'never'
      ? []
      : site.wiring.devices.flatMap(({ id, box }) => {
          const gauges = site.contents(box).cables.map(({ type }) => cableRow(type).gauge);
          return gauges.some((gauge) => gauge !== 14)
            ? [
                {
                  at: at('device', id),
                  message: `${gauges.find((gauge) => gauge !== 14) ?? 12} AWG does not go into a push-in terminal: use the screws.`,
                  fix: {
                    says: 'No push-in terminals in this job',
                    commands: [{ do: 'set habits' as const, habits: { pushIn: 'never' as const } }],
                  },
                },
              ]
            : [];
        }),
};
