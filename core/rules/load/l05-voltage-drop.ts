import { DROP_SHARE, voltageDrops } from '../../load/voltage-drop';
import { at, section, type Rule } from '../rule';

export const l05: Rule = {
  id: 'L05',
  title: 'Voltage drop over 3 % at an outlet (advice)',
  section: section('210.19 informational note'),
  severity: 'craft',
  looksAt: 'the energized network with its loads on',
  check: (site) =>
    voltageDrops(site.job, site.wiring)
      .filter(({ share }) => share > DROP_SHARE)
      .map(({ part, dropV, share }) => ({
        at: at('device', part.split('/')[0] ?? part),
        message: `${dropV.toFixed(1)} V lost on the way, ${(share * 100).toFixed(1)} %. A larger conductor or a shorter way.`,
      })),
};
