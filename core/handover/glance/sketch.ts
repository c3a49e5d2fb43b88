import { mapSymbols, type MapSymbol } from '../../code/brief/symbols';
import { runMap } from '../../wiring/geometry/run-map';
import { SKETCH_SIZES, symbolRow, type MapArea, type MapPoint } from '../../wiring/geometry/map-sizes';
import { isPlug } from '../../job/model/called';
import { PANEL, type Design } from '../../job/model/design';
import type { ShownOutcome } from '../../wiring/plan';
import type { Insulation } from '../../trade/standards/cables';

/** A job drawn small: its boxes from the panel outward, joined by their conductors. Units are those of the screen. */
export interface Sketch {
  readonly width: number;
  readonly height: number;
  readonly nodes: readonly (MapArea & {
    /** Where power comes from; null for a box. */
    readonly source: 'panel' | 'plug' | null;
    /** True where it is not as it was before. */
    readonly changed: boolean;
    readonly symbols: readonly {
      readonly symbol: MapSymbol;
      readonly at: MapPoint;
      readonly scale: number;
    }[];
  })[];
  readonly runs: readonly {
    readonly points: readonly MapPoint[];
    readonly changed: boolean;
    /** None where the run has no cable yet. */
    readonly insulations: readonly Insulation[];
  }[];
}

/** Inside the outline of a box, to each side. */
const INSET = 4;

/**
 * The sketch of a job, by the same geometry as its map. Beside a job before it, what is new in it or holds something else
 * is marked as changed.
 */
export function sketchOf(
  job: Design,
  outcome: ShownOutcome,
  before: { readonly job: Design; readonly outcome: ShownOutcome } | null = null,
): Sketch {
  const map = runMap(job, 'RIGHT', SKETCH_SIZES);
  const typesOf = (of: ShownOutcome, run: string): string =>
    (of.ok ? of.plan.wiring.cables : [])
      .filter((cable) => cable.run === run)
      .map(({ type }) => type)
      .join();
  const holds = (design: Design, box: string): string =>
    JSON.stringify([
      design.boxes.some(({ id }) => id === box),
      design.devices.filter((device) => device.box === box).map(({ kind, wants }) => [kind, wants]),
    ]);
  const cables = outcome.ok ? outcome.plan.wiring.cables : [];
  return {
    width: map.width,
    height: map.height,
    nodes: [...map.nodes].map(([id, area]) => {
      const symbols = id === PANEL ? [] : mapSymbols(job, outcome, id);
      const room = {
        x: area.x + INSET,
        y: area.y + INSET,
        width: area.width - 2 * INSET,
        height: area.height - 2 * INSET,
      };
      const row = symbolRow(symbols.length, room, true);
      return {
        ...area,
        source: id !== PANEL ? null : isPlug(job) ? 'plug' : 'panel',
        changed: before !== null && holds(before.job, id) !== holds(job, id),
        symbols: symbols.flatMap((symbol, index) => {
          const at = row.at[index];
          return at ? [{ symbol, at, scale: row.scale }] : [];
        }),
      };
    }),
    runs: [...map.runs].map(([id, { points }]) => ({
      points,
      changed:
        before !== null &&
        (!before.job.runs.some((run) => run.id === id) ||
          typesOf(before.outcome, id) !== typesOf(outcome, id)),
      insulations: cables
        .filter(({ run }) => run === id)
        .flatMap(({ conductors }) => conductors.map(({ insulation }) => insulation)),
    })),
  };
}
