import type { BoxDrawing } from '@core/wiring/geometry/drawing';

/** What of a drawing stands in full for some points: the points themselves, what lands there, and its cable. */
export function litBy(
  { wires, cables, splices, devices, screws }: BoxDrawing,
  points: readonly string[],
): Set<string> {
  const own = new Set(points);
  const lit = wires.filter(({ id, wire, point }) => own.has(id) || own.has(wire) || own.has(point));
  const ends = new Set(lit.flatMap(({ id, wire, point }) => [id, wire, point]));
  return new Set([
    ...points,
    ...ends,
    ...cables.filter(({ id }) => own.has(id) || lit.some(({ cable }) => cable === id)).map(({ id }) => id),
    ...splices.filter(({ id }) => own.has(id) || ends.has(id)).map(({ id }) => id),
    ...devices.flatMap(({ tabs, terminals }) =>
      [...tabs, ...terminals].filter(({ id }) => own.has(id)).map(({ id }) => id),
    ),
    ...screws.filter(({ point }) => own.has(point) || ends.has(point)).map(({ id }) => id),
  ]);
}
