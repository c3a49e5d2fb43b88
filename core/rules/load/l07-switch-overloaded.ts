import { MOTOR_SHARE, NOMINAL_V } from '../../standards/loads';
import { at, section, type Rule } from '../rule';

export const l07: Rule = {
  id: 'L07',
  title: 'Load on a switch over its rating',
  section: section('404.14'),
  severity: 'code',
  looksAt: 'what each switch carries',
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
              message: `${amps.toFixed(1)} A on a ${device.ratingA} A switch${motor ? ' with a motor, which may take 80 %' : ''}.`,
            },
          ];
    }),
};
