import { deviceKind } from '../../trade/devices';
import { inBox } from '../../job/model/in-box';
import { terminalsOf } from '../../job/model/lookup';
import { endId, type EndId, type NetRole, type Splice, type Tail } from '../../job/model/wiring';
import type { Drawable } from '../plan';
import { cableRow } from '../../trade/standards/cables';
import type { Gauge } from '../../trade/standards/conductors';
import { connectorFor, type Connector } from '../../trade/standards/connectors';
import { colorName } from './cable-names';
import { schoolFor } from './school';
import type { Step } from './step';
import { say } from '../../base/words/makeup';

/** What the conductors of a role are called. */
export const ROLE_NAME: Readonly<Record<NetRole, string>> = {
  ground: say('spliceSteps.ground'),
  neutral: say('spliceSteps.neutral'),
  hot: say('spliceSteps.hot'),
  switched: say('spliceSteps.switchedHot'),
  traveler: say('spliceSteps.traveler'),
};

const WHY: Record<NetRole, string> = {
  ground: say('spliceSteps.grounds.why'),
  neutral: say('spliceSteps.neutrals.why'),
  hot: say('spliceSteps.hots.why'),
  switched: say('spliceSteps.switched.why'),
  traveler: say('spliceSteps.travelers.why'),
};

/** One step for each splice of a box. */
export function spliceSteps(
  plan: Drawable,
  box: string,
  endName: (end: EndId) => string,
  deviceTitles: ReadonlyMap<string, string>,
): Step[] {
  const { splices, tails } = inBox(plan.wiring, box);
  return splices.flatMap((splice): Step[] => {
    const own = tails.filter(({ from }) => from.at === 'splice' && from.splice === splice.id);
    const isJumper = ({ to }: Tail) => splices.some(({ id }) => id === to);
    const jumpers = tails.filter((tail) => isJumper(tail) && (tail.to === splice.id || own.includes(tail)));
    const whole = own.find(({ uncut }) => uncut !== null);
    const leads = own.filter(({ lead }) => lead);
    const pigtails = own.filter((tail) => tail.uncut === null && !tail.lead && !isJumper(tail));
    const count = spliceCount(splice, tails);
    const connector = connectorOf(plan, splice);
    const ports = connector?.ports ?? null;
    const alone = splices.filter((one) => one.role === splice.role).length === 1;
    const [pigtail] = pigtails;
    const step: Step = {
      id: `splice ${splice.id}`,
      stage: splice.role,
      title: titleOf(
        splice,
        alone,
        splice.ends.map(endName),
        leads.map((lead) => leadName(plan, lead, deviceTitles)),
        pigtails.length,
      ),
      detail: [
        `${connector?.name ?? say('spliceSteps.noConnector')}${ports === null || ports === count ? '' : say('spliceSteps.spare', { ports: ports - count })}`,
        ...(jumpers.length > 0 ? [say('spliceSteps.jumper')] : []),
        ...(whole?.uncut ? [say('spliceSteps.loopedGround', { endName: endName(whole.uncut) })] : []),
        say('spliceSteps.strip', { stripIn: connector?.stripIn ?? '¾' }),
        ...(pigtail
          ? [say('spliceSteps.awgPigtail', { gauge: pigtail.gauge, lengthIn: pigtail.lengthIn })]
          : []),
        ...(splice.role === 'ground' || splice.ends.length < 2 || !alone
          ? []
          : [splice.ends.map(endName).join(', ')]),
      ].join(' · '),
      why: WHY[splice.role],
      touches: [splice.id, ...splice.ends, ...own.map(({ id }) => id), ...jumpers.map(({ id }) => id)],
    };
    // A jumper is cut where it begins, before the connectors that it joins are closed.
    const first = splices.find(({ net, connector: one }) => net === splice.net && one === 1)?.ends[0];
    const cut = jumpers
      .filter((tail) => own.includes(tail))
      .map((tail) => {
        const into = splices.find(({ id }) => id === tail.to)?.connector ?? splice.connector + 1;
        return jumperStep(splice, tail, connector, first ? endName(first) : '', whichOf(into));
      });
    return [...cut, step];
  });
}

function jumperStep(
  { role }: Splice,
  { id, gauge, insulation, lengthIn }: Tail,
  connector: Connector | undefined,
  end: string,
  into: string,
): Step {
  return {
    id: `jumper ${id}`,
    stage: role,
    title: say('spliceSteps.cutJumper', {
      lengthIn,
      color: colorName(insulation),
      gauge,
      end: end === '' ? '' : say('spliceSteps.jumperFor', { end }),
      into,
    }),
    detail: say('spliceSteps.stripBothEnds', { stripIn: connector?.stripIn ?? '¾' }),
    why: say('spliceSteps.jumperJoinsConnectors'),
    touches: [id],
  };
}

/** " (second connector)": which it is of those that share out what one cannot hold; nothing for the first. */
const whichOf = (connector: number): string =>
  ['', '', say('spliceSteps.secondConnector'), say('spliceSteps.thirdConnector')][connector] ??
  say('spliceSteps.connector', { connector });

/** "Splice the 3 grounds, add 1 pigtail"; conductors by name where the box has more than one splice of the kind. */
function titleOf(
  { role, connector }: Splice,
  alone: boolean,
  ends: readonly string[],
  leads: readonly string[],
  pigtails: number,
): string {
  const pigtailWords = say('spliceSteps.pigtailOneOther', { pigtails });
  const which = whichOf(connector);
  const several = alone && ends.length > 1;
  const named = [
    ...(several ? [say('spliceSteps.several', { count: ends.length, role })] : ends),
    ...leads,
  ].map((one) => say('spliceSteps.the', { one }));
  const [last] = named.slice(-1);
  // A connector that holds nothing but what was cut for it, and one conductor that is only carried on.
  if (named.length === 0) return say('spliceSteps.joinOnly', { role, pigtails: pigtailWords, which });
  if (named.length === 1 && !several && pigtails > 0)
    return say('spliceSteps.pigtailOn', { pigtails: pigtailWords, one: named[0] ?? '', which });
  const list =
    named.length > 1
      ? say('spliceSteps.and', { named: named.slice(0, -1).join(', '), last: last ?? '' })
      : (last ?? '');
  return say('spliceSteps.splice', {
    list,
    pigtails: pigtails > 0 ? say('spliceSteps.add', { pigtailWords }) : '',
    which,
  });
}

function leadName(plan: Drawable, { to }: Tail, titles: ReadonlyMap<string, string>): string {
  for (const [id, { device, terminal }] of terminalsOf(plan.wiring))
    if (id === to)
      return say('spliceSteps.ofThe', {
        terminal: terminal.name,
        device: titles.get(device.id) ?? deviceKind(device.kind).name,
      });
  return 'lead';
}

/**
 * The connector of a splice. A neutral that only passes a switch box gets a spare port where there is one, for a
 * later electronic switch (common practice).
 */
export function connectorOf(
  { wiring, job }: Pick<Drawable, 'wiring' | 'job'>,
  splice: Splice,
): Connector | undefined {
  const { tails, devices } = inBox(wiring, splice.box);
  const own = tails.filter(({ from }) => from.at === 'splice' && from.splice === splice.id);
  const gauge = gaugeOf(wiring, splice, own);
  const count = spliceCount(splice, tails);
  const used = tails.some(({ from }) => from.at === 'splice' && from.splice === splice.id);
  const switches = devices.some(({ kind }) => deviceKind(kind).parts.some(({ does }) => does === 'control'));
  const school = schoolFor(job, splice.role);
  const spare = splice.role === 'neutral' && !used && switches && school === 'lever';
  return (
    (spare ? connectorFor(job.connectors, school, count + 1, gauge) : undefined) ??
    connectorFor(job.connectors, school, count, gauge)
  );
}

/** Conductors in a splice: ends, pigtails, leads, jumpers; a ground that passes through uncut counts once. */
export function spliceCount(splice: Splice, tails: readonly Tail[]): number {
  return (
    splice.ends.length +
    tails.filter(
      ({ from, to, uncut }) =>
        to === splice.id || (from.at === 'splice' && from.splice === splice.id && uncut === null),
    ).length
  );
}

/** The thickest conductor in a splice. */
function gaugeOf(wiring: Drawable['wiring'], splice: Splice, tails: readonly Tail[]): Gauge {
  const ofEnds = inBox(wiring, splice.box)
    .cables.filter(({ conductors }) =>
      conductors.some(({ id }) => splice.ends.includes(endId(id, splice.box))),
    )
    .map(({ type }) => cableRow(type).gauge);
  return [...ofEnds, ...tails.map(({ gauge }) => gauge)].reduce<Gauge>((a, b) => (b < a ? b : a), 14);
}
