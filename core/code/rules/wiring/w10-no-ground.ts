import { deviceKind } from '../../../trade/devices';
import { deviceOf } from '../../../power/proof/proof';
import { section, siteAt, type Rule } from '../rule';
import { say } from '../../../base/words/rules';

export const w10: Rule = {
  id: 'W10',
  title: say('w10.title'),
  section: section('406.4(A), 404.9(B), 250.130(C)'),
  severity: 'stop',
  looksAt: say('w10.groundEveryDevice'),
  check: (site) =>
    site.findings('no ground').flatMap((finding) => {
      const id = deviceOf(finding);
      if (id === null) return [];
      const device = site.device(id);
      const wired = site.wiring.devices.find((one) => one.id === id);
      const plug = wired ? deviceKind(wired.kind).receptacle : false;
      // A receptacle that replaces another is another rule's matter.
      if (!device || (device.replaces && plug)) return [];
      return [{ at: siteAt(finding), message: finding.message, says: finding.says }];
    }),
};
