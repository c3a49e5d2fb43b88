import type { Gauge } from './conductors';

export type ConnectorSchool = 'lever' | 'twist-on';

/** A connector that holds a splice. `ports` is set for lever connectors, where an unused port stays visible. */
export interface Connector {
  readonly name: string;
  readonly ports: number | null;
  /** Strip length, in. Common practice: 7/16 for levers (the strip gauge rules), ¾ for twist-ons. */
  readonly stripIn: string;
}

const LEVER_PORTS = [2, 3, 5] as const;

/** Most conductors a twist-on size takes, by gauge. Common practice: the package instructions rule. */
const TWIST_ON = [
  { name: 'small twist-on', most: { 14: 3, 12: 0, 10: 0 } },
  { name: 'medium twist-on', most: { 14: 4, 12: 3, 10: 2 } },
  { name: 'large twist-on', most: { 14: 6, 12: 5, 10: 3 } },
] as const;

/**
 * The connectors that hold `count` conductors of one net, smallest that fit. More conductors than any single
 * connector takes are split over several, each pair joined by a jumper that takes one port on both sides.
 */
export function connectorsFor(count: number, gauge: Gauge, school: ConnectorSchool): readonly Connector[] {
  const capacity = school === 'lever' ? 5 : TWIST_ON[2].most[gauge];
  if (count > capacity) {
    return [largest(school), ...connectorsFor(count - capacity + 2, gauge, school)];
  }
  if (school === 'lever') {
    const ports = LEVER_PORTS.find((size) => size >= count) ?? 5;
    return [lever(ports)];
  }
  const size = TWIST_ON.find((candidate) => candidate.most[gauge] >= count) ?? TWIST_ON[2];
  return [{ name: size.name, ports: null, stripIn: '¾' }];
}

const lever = (ports: number): Connector => ({
  name: `${ports}-port lever connector`,
  ports,
  stripIn: '7/16',
});

const largest = (school: ConnectorSchool): Connector =>
  school === 'lever' ? lever(5) : { name: TWIST_ON[2].name, ports: null, stripIn: '¾' };
