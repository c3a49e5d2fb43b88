import type { ElkNode } from 'elkjs/lib/elk-api';
import { useEffect, useState } from 'react';
import { PANEL, type Design } from '@core/model/design';

export interface MapLayout {
  readonly width: number;
  readonly height: number;
  readonly nodes: ReadonlyMap<string, { readonly x: number; readonly y: number }>;
  /** Bends of each run, by run id. */
  readonly edges: ReadonlyMap<string, readonly { readonly x: number; readonly y: number }[]>;
}

export const NODE = { width: 132, height: 62 } as const;
/** Room between boxes for a cable's label. */
const GAP = { right: 84, down: 52 } as const;

/** Lays the runs out from the panel outward with a graph layout library, loaded when first needed. */
export function useMapLayout(job: Design, direction: 'RIGHT' | 'DOWN'): MapLayout | null {
  const [layout, setLayout] = useState<MapLayout | null>(null);
  const shape = JSON.stringify([
    job.boxes.map(({ id }) => id),
    job.runs.map(({ id, from, to }) => [id, from, to]),
  ]);
  useEffect(() => {
    let stale = false;
    void place(shape, direction).then((next) => {
      if (!stale) setLayout(next);
    });
    return () => {
      stale = true;
    };
  }, [shape, direction]);
  return layout;
}

async function place(shape: string, direction: 'RIGHT' | 'DOWN'): Promise<MapLayout> {
  const [boxes, runs] = JSON.parse(shape) as [string[], [string, string, string][]];
  const { default: Elk } = await import('elkjs/lib/elk.bundled.js');
  const graph = await new Elk().layout({
    id: 'runs',
    layoutOptions: {
      'elk.algorithm': 'layered',
      'elk.direction': direction,
      'elk.edgeRouting': 'ORTHOGONAL',
      'elk.layered.spacing.nodeNodeBetweenLayers': String(direction === 'RIGHT' ? GAP.right : GAP.down),
      'elk.spacing.nodeNode': '26',
      'elk.layered.considerModelOrder.strategy': 'NODES_AND_EDGES',
    },
    children: [PANEL, ...boxes].map((id) => ({ id, ...NODE })),
    edges: outward(runs).map(([id, from, to]) => ({ id, sources: [from], targets: [to] })),
  });
  return read(graph);
}

/** Runs turned so that each leads away from the panel. */
function outward(
  runs: readonly (readonly [string, string, string])[],
): (readonly [string, string, string])[] {
  const turned: (readonly [string, string, string])[] = [];
  const reached = new Set([PANEL]);
  const waiting = [...runs];
  for (;;) {
    const next = waiting.findIndex(([, from, to]) => reached.has(from) || reached.has(to));
    const [run] = waiting.splice(next < 0 ? 0 : next, 1);
    if (!run) return turned;
    const [id, from, to] = run;
    turned.push(reached.has(from) || !reached.has(to) ? run : [id, to, from]);
    reached.add(from).add(to);
  }
}

function read(graph: ElkNode): MapLayout {
  return {
    width: graph.width ?? 0,
    height: graph.height ?? 0,
    nodes: new Map(graph.children?.map(({ id, x = 0, y = 0 }) => [id, { x, y }])),
    edges: new Map(
      graph.edges?.map(({ id, sections }) => {
        const [section] = sections ?? [];
        return [id, section ? [section.startPoint, ...(section.bendPoints ?? []), section.endPoint] : []];
      }),
    ),
  };
}
