import type { DesignCommand } from '../../job/commands/command';
import { wishKind } from '../../trade/devices';
import { placeName } from '../../job/model/called';
import type { Design } from '../../job/model/design';
import { gives, grownBy, kindThatGives, RECEPTACLE } from '../../code/protection/kinds';
import type { RuleFinding } from '../../code/rules/check';
import type { Way } from './ways';
import { addedBy, isWhole, type Wish } from './wish';
import { PROTECTION_NAME } from '../../job/model/names';
import { say } from '../../base/words/options';

/**
 * The same way with the protection that its findings ask for: in the breaker, in the outlet itself, on the LOAD side of
 * a device that is there, or shared out between outlet and breaker. None where nothing is asked for.
 */
export function protectedWays(
  base: Design,
  way: Way,
  wish: Wish,
  findings: readonly Pick<RuleFinding, 'rule'>[],
): Way[] {
  const asked = (rule: string) => findings.some((one) => one.rule === rule);
  const kind = kindThatGives(asked('P01'), asked('P03'));
  const added = addedBy(base, way.commands);
  if (kind === null || !added) return [];
  const { device } = added;
  const circuits = added.circuits;
  // There is no AFCI receptacle for a multiwire circuit.
  const multiwire = circuits.some(({ multiwireWith }) => multiwireWith !== null);
  const breaker = (of: typeof kind): DesignCommand[] =>
    circuits.map(({ id, protection }) => ({
      do: 'set circuit',
      circuit: id,
      change: { protection: grownBy(protection, of) },
    }));
  const outlet = (of: typeof kind): DesignCommand[] =>
    wishKind(device.kind).halves && isWhole(wish) && !(multiwire && gives(of, 'afci'))
      ? [{ do: 'set kind', device: device.id, kind: RECEPTACLE[of] }]
      : [];
  const behind = base.devices.flatMap((one) => {
    const own = wishKind(one.kind).protection?.kind;
    const rest = kindThatGives(asked('P01') && !gives(own, 'gfci'), asked('P03') && !gives(own, 'afci'));
    if (one.id === device.id || rest === kind) return [];
    const via = Object.entries(device.wants).flatMap(([part, want]): DesignCommand[] =>
      want.does === 'power' ? [{ do: 'set want', device: device.id, part, change: { via: one.id } }] : [],
    );
    return [
      {
        says: say('protect.loadSide', {
          placeName: placeName(base, one.box),
          rest: rest === null ? '' : say('protect.breaker', { rest: PROTECTION_NAME[rest] }),
        }),
        commands: [...via, ...(rest === null ? [] : breaker(rest))],
      },
    ];
  });
  // A receptacle upstream becomes a GFCI, and feeds on from its LOAD side.
  const upstream = asked('P01')
    ? base.devices.flatMap((one) => {
        const constant = Object.values(one.wants).every(
          (want) =>
            want.does === 'power' && want.control === null && circuits.some(({ id }) => id === want.circuit),
        );
        const rest = kindThatGives(false, asked('P03'));
        if (one.id === device.id || !wishKind(one.kind).halves || !constant) return [];
        const via = Object.entries(device.wants).flatMap(([part, want]): DesignCommand[] =>
          want.does === 'power' ? [{ do: 'set want', device: device.id, part, change: { via: one.id } }] : [],
        );
        return [
          {
            says: say('protect.gfciUpstream', {
              placeName: placeName(base, one.box),
              rest: rest === null ? '' : say('protect.breaker', { rest: PROTECTION_NAME[rest] }),
            }),
            commands: [
              { do: 'set kind' as const, device: one.id, kind: RECEPTACLE.gfci },
              { do: 'set device' as const, device: one.id, change: { replaces: true, was: false } },
              ...via,
              ...(rest === null ? [] : breaker(rest)),
            ],
          },
        ];
      })
    : [];
  const poles = multiwire ? say('protect.twoPole') : '';
  const more = [
    { says: say('protect.receptacle', { kind: PROTECTION_NAME[kind] }), commands: outlet(kind) },
    ...(kind === 'dual'
      ? [
          {
            says: say('protect.gfciReceptacleAfciBreaker'),
            commands: withBoth(outlet('gfci'), breaker('afci')),
          },
        ]
      : []),
    ...behind,
    ...upstream,
    { says: say('protect.breakerOfKind', { poles, kind: PROTECTION_NAME[kind] }), commands: breaker(kind) },
  ];
  return more
    .filter(({ commands }) => commands.length > 0)
    .map(({ says, commands }) => ({
      ...way,
      says: `${way.says}; ${says}`,
      commands: [...way.commands, ...commands],
    }));
}

const withBoth = (one: readonly DesignCommand[], other: readonly DesignCommand[]): DesignCommand[] =>
  one.length > 0 && other.length > 0 ? [...one, ...other] : [];
