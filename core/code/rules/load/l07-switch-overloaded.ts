import { MOTOR_SHARE, NOMINAL_V } from '../../../trade/standards/loads';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const l07: Rule = {
  id: 'L07',
  title: say('l07.loadSwitchOverRating'),
  section: section('404.14'),
  severity: 'code',
  looksAt: say('l07.whatEachSwitchCarries'),
  check: (site) =>
    site.handles().flatMap(({ device, group }) => {
      const own = site.controlled(group);
      const amps = own.reduce((sum, { want }) => sum + (want.watts ?? 0), 0) / NOMINAL_V;
      const motor = own.some(({ want }) => want.motor);
      const limit = device.ratingA * (motor ? MOTOR_SHARE : 1);
      return amps <= limit
        ? []
        : [
            {
              at: at('device', device.id),
              ...tell('l07.switchTrueOther', { amps: amps.toFixed(1), ratingA: device.ratingA, motor }),
            },
          ];
    }),
};
