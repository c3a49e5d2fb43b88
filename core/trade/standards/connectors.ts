import { z } from 'zod';
import { say } from '../../base/words/standards';

export const CONNECTOR_SCHOOLS = ['lever', 'twist-on', 'grounding'] as const;
export type ConnectorSchool = (typeof CONNECTOR_SCHOOLS)[number];

/** The most conductors of a gauge that a connector takes; 0 where it takes none. */
const Holds = z.strictObject({
  14: z.int().min(0).max(12),
  12: z.int().min(0).max(12),
  10: z.int().min(0).max(12),
});

/** A connector as the package says it. `ports` is set where an unused port stays visible. */
export const Connector = z.strictObject({
  id: z.string().regex(/^[a-z0-9-]{1,40}$/),
  name: z.string().trim().min(1).max(40),
  school: z.enum(CONNECTOR_SCHOOLS),
  holds: Holds,
  ports: z.int().min(2).max(12).nullable(),
  stripIn: z.string().max(10),
});
export type Connector = z.infer<typeof Connector>;

const lever = (ports: number): Connector => ({
  id: `lever-${ports}`,
  name: say('connectors.portLeverConnector', { ports }),
  school: 'lever',
  holds: { 14: ports, 12: ports, 10: ports },
  ports,
  stripIn: '7/16',
});
/** What the sizes of twist-on connectors are called. */
const SIZE_NAME = {
  small: say('connectors.small'),
  medium: say('connectors.medium'),
  large: say('connectors.large'),
} as const;
const twistOn = (size: keyof typeof SIZE_NAME, holds: Connector['holds']): Connector => ({
  id: `twist-on-${size}`,
  name: say('connectors.twist', { size: SIZE_NAME[size] }),
  school: 'twist-on',
  holds,
  ports: null,
  stripIn: '¾',
});

/** The catalog a job starts with. Common practice: the package instructions rule, so every number can be changed. */
export const CONNECTORS: readonly Connector[] = [
  lever(2),
  lever(3),
  lever(5),
  twistOn('small', { 14: 3, 12: 0, 10: 0 }),
  twistOn('medium', { 14: 4, 12: 3, 10: 2 }),
  twistOn('large', { 14: 6, 12: 5, 10: 3 }),
  {
    id: 'grounding',
    name: say('connectors.groundingConnector'),
    school: 'grounding',
    holds: { 14: 4, 12: 4, 10: 2 },
    ports: null,
    stripIn: '¾',
  },
];

type Gauge = keyof Connector['holds'];

/** The smallest connector of a school that holds `count` conductors of a gauge, or undefined where none does. */
export function connectorFor(
  catalog: readonly Connector[],
  school: ConnectorSchool,
  count: number,
  gauge: Gauge,
): Connector | undefined {
  return catalog
    .filter((one) => one.school === school && one.holds[gauge] >= count)
    .reduce<Connector | undefined>(
      (best, one) => (!best || one.holds[gauge] < best.holds[gauge] ? one : best),
      undefined,
    );
}

/** The most conductors that any connector of a school holds at a gauge; two at least, so that splices can be split. */
export const largestSplice = (catalog: readonly Connector[], school: ConnectorSchool, gauge: Gauge): number =>
  Math.max(3, ...catalog.filter((one) => one.school === school).map(({ holds }) => holds[gauge]));
