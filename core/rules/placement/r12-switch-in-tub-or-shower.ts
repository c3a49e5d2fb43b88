import { at, section, type Rule } from '../rule';

export const r12: Rule = {
  id: 'R12',
  title: 'Switch inside the space of a tub or shower',
  section: section('404.4(C)'),
  severity: 'stop',
  looksAt: 'switches in bathrooms',
  check: (site) =>
    site
      .handles()
      .filter(({ device }) => site.box(device.box)?.inTubSpace)
      .map(({ device }) => ({
        at: at('device', device.id),
        message: `The switch in ${site.box(device.box)?.name ?? device.box} is inside the tub or shower space: only as part of a listed tub or shower assembly.`,
      })),
};
