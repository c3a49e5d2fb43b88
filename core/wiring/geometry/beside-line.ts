import type { MapPoint } from './map-sizes';

/** The conductors of a run beside each other along its line: the line moved to the left or the right of itself. */
export function besideLine(points: readonly MapPoint[], by: number): MapPoint[] {
  const pieces = points.slice(1).flatMap((to, index) => {
    const from = points[index];
    if (!from || (from.x === to.x && from.y === to.y)) return [];
    const long = Math.hypot(to.x - from.x, to.y - from.y);
    const normal = { x: -(to.y - from.y) / long, y: (to.x - from.x) / long };
    return [{ from, to, normal }];
  });
  const [first] = pieces;
  const last = pieces.at(-1);
  if (!first || !last) return [...points];
  return [
    { x: first.from.x + first.normal.x * by, y: first.from.y + first.normal.y * by },
    // At a corner both pieces move: level and upright pieces meet where each has gone.
    ...pieces.slice(1).map(({ from, normal }, index) => {
      const before = pieces[index]?.normal ?? normal;
      const same = before.x === normal.x && before.y === normal.y;
      return same
        ? { x: from.x + normal.x * by, y: from.y + normal.y * by }
        : { x: from.x + (before.x + normal.x) * by, y: from.y + (before.y + normal.y) * by };
    }),
    { x: last.to.x + last.normal.x * by, y: last.to.y + last.normal.y * by },
  ];
}
