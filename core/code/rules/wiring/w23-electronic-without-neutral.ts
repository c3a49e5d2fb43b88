import { deviceKind } from '../../../trade/devices';
import { terminalsOf } from '../../../job/model/lookup';
import { terminalId } from '../../../job/model/wiring';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const w23: Rule = {
  id: 'W23',
  title: say('w23.title'),
  section: section('404.22'),
  severity: 'code',
  looksAt: say('w23.electronicLightedSwitches'),
  check: (site) =>
    site.wiring.devices.flatMap(({ id, box, kind }) => {
      const needs = deviceKind(kind).parts.find(
        (part) => part.does === 'control' && part.neutral !== undefined,
      );
      const neutral = needs?.does === 'control' ? needs.neutral : undefined;
      if (neutral === undefined) return [];
      const terminal = terminalId(id, neutral);
      const terminals = terminalsOf(site.wiring);
      const own = (to: string) => {
        const known = [...terminals].find(([one]) => one === to)?.[1];
        return known?.device.id === id && known.terminal.screw !== 'green';
      };
      const { tails, terminations } = site.contents(box);
      const fed =
        tails.some(({ to }) => to === terminal) || terminations.some((one) => one.terminal === terminal);
      // A switch that controls nothing is not wired at all.
      const wired = tails.some(({ to }) => own(to)) || terminations.some((one) => own(one.terminal));
      return fed || !wired
        ? []
        : [
            {
              at: at('device', id),
              ...tell('w23.needsNeutralNone', {
                deviceKind: deviceKind(kind).name,
                box: site.box(box)?.name ?? say('w23.box'),
              }),
            },
          ];
    }),
};
