import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const r12: Rule = {
  id: 'R12',
  title: say('r12.title'),
  section: section('404.4(C)'),
  severity: 'stop',
  looksAt: say('r12.switchesBathrooms'),
  check: (site) =>
    site
      .handles()
      .filter(({ device }) => site.box(device.box)?.inTubSpace)
      .map(({ device }) => ({
        at: at('device', device.id),
        ...tell('r12.finding', { box: site.box(device.box)?.name ?? device.box }),
      })),
};
