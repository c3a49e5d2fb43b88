import { at, section, type Rule } from '../rule';

export const l08: Rule = {
  id: 'L08',
  title: 'More outlets on a general circuit than is commonly put there',
  section: section(''),
  severity: 'craft',
  looksAt: 'outlets of each general circuit',
  check: (site) =>
    site.job.circuits.flatMap((circuit) => {
      const most = circuit.breakerA === 15 ? 10 : 13;
      const outlets = new Set(site.usersOn(circuit.id).map(({ device }) => device.id)).size;
      return circuit.serves !== 'general' || outlets <= most
        ? []
        : [
            {
              at: at('circuit', circuit.id),
              message: `${outlets} outlets on circuit ${circuit.number}; 1.5 A each is a common count, ${most} at the most. The NEC sets no count in dwellings.`,
            },
          ];
    }),
};
