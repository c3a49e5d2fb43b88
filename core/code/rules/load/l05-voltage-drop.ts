import { DROP_SHARE, voltageDrops } from '../../../power/load/voltage-drop';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const l05: Rule = {
  id: 'L05',
  title: say('l05.voltageDropOver3Outlet'),
  section: section(say('l05.n21019InformationalNote')),
  severity: 'craft',
  looksAt: say('l05.energizedNetworkLoads'),
  check: (site) =>
    voltageDrops(site.job, site.wiring)
      .filter(({ share }) => share > DROP_SHARE)
      .map(({ device, dropV, share }) => ({
        at: at('device', device),
        ...tell('l05.finding', {
          dropV: dropV.toFixed(1),
          share: (share * 100).toFixed(1),
        }),
      })),
};
