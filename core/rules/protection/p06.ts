import { deviceKind } from '../../devices';
import { conductorOfEnd, terminalId } from '../../model/wiring';
import { at, section, type Rule } from '../rule';

export const p06: Rule = {
  id: 'P06',
  title: 'Line and load swapped at a protecting device',
  section: section('110.3(B)'),
  severity: 'stop',
  looksAt: 'what comes in on LOAD',
  check: (site) => {
    const roles = new Map(
      site.wiring.cables.flatMap(({ conductors }) => conductors.map((one) => [one.id, one] as const)),
    );
    return site.wiring.devices.flatMap(({ id, box, kind }) => {
      const { protection } = deviceKind(kind);
      if (!protection) return [];
      const { terminations, splices, tails } = site.contents(box);
      const domainsAt = (terminal: string) => {
        const direct = terminations
          .filter((one) => one.terminal === terminalId(id, terminal))
          .map(({ end }) => end);
        const tailed = tails
          .filter(({ to }) => to === terminalId(id, terminal))
          .flatMap(({ from }) =>
            from.at === 'splice' ? (splices.find((one) => one.id === from.splice)?.ends ?? []) : [],
          );
        return [...direct, ...tailed].flatMap((end) => roles.get(conductorOfEnd(end))?.domain ?? []);
      };
      const behind = (domains: readonly string[]) => domains.some((domain) => domain.endsWith(`after-${id}`));
      const swapped =
        behind(domainsAt(protection.line.hot)) ||
        domainsAt(protection.load.hot).some((domain) => !domain.endsWith(`after-${id}`));
      return swapped
        ? [
            {
              at: at('device', id),
              message: `${id}: the feed is on LOAD. It will not reset, or its face stays live when tripped.`,
            },
          ]
        : [];
    });
  },
};
