import { deviceKind } from '../../../trade/devices';
import { endsOf } from '../../../job/model/lookup';
import { domainKey, terminalId, type WiredConductor } from '../../../job/model/wiring';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const p06: Rule = {
  id: 'P06',
  title: say('p06.title'),
  section: section('110.3(B)'),
  severity: 'stop',
  looksAt: say('p06.whatComesLoad'),
  check: (site) => {
    const ends = endsOf(site.wiring);
    const own = new Map(
      site.job.circuits.map(({ id }) => [id, (device: string) => domainKey([id], device)] as const),
    );
    return site.wiring.devices.flatMap(({ id, box, kind }) => {
      const { protection } = deviceKind(kind);
      if (!protection) return [];
      const { terminations, splices, tails } = site.contents(box);
      const conductorsAt = (terminal: string) => {
        const direct = terminations
          .filter((one) => one.terminal === terminalId(id, terminal))
          .map(({ end }) => end);
        const tailed = tails
          .filter(({ to }) => to === terminalId(id, terminal))
          .flatMap(({ from }) =>
            from.at === 'splice' ? (splices.find((one) => one.id === from.splice)?.ends ?? []) : [],
          );
        return [...direct, ...tailed].flatMap((end) => ends.get(end)?.conductor ?? []);
      };
      const isBehind = ({ domain, circuit }: WiredConductor) =>
        domain !== null && circuit !== null && domain === own.get(circuit)?.(id);
      const swapped =
        conductorsAt(protection.line.hot).some(isBehind) ||
        conductorsAt(protection.load.hot).some((one) => one.domain !== null && !isBehind(one));
      return swapped
        ? [
            {
              at: at('device', id),
              ...tell('p06.finding', {
                deviceKind: deviceKind(kind).name,
                box: site.box(box)?.name ?? say('p06.box'),
              }),
            },
          ]
        : [];
    });
  },
};
