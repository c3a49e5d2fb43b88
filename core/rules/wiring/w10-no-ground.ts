import { deviceKind } from '../../devices';
import { deviceOf } from '../../proof/proof';
import { section, siteAt, type Rule } from '../rule';

export const w10: Rule = {
  id: 'W10',
  title: 'No equipment ground at a receptacle, a switch or other device',
  section: section('406.4(A), 404.9(B), 250.130(C)'),
  severity: 'stop',
  looksAt: 'the ground of every device',
  check: (site) =>
    site.findings('no ground').flatMap((finding) => {
      const id = deviceOf(finding);
      if (id === null) return [];
      const device = site.device(id);
      const wired = site.wiring.devices.find((one) => one.id === id);
      const plug = wired ? deviceKind(wired.kind).receptacle : false;
      // A receptacle that replaces another is another rule's matter.
      if (!device || (device.replaces && plug)) return [];
      return [{ at: siteAt(finding), message: finding.message }];
    }),
};
