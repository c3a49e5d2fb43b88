import { z } from 'zod';
import { REST, type State } from '@core/energize/state';
import { PLUG_INS, plugIn } from '@core/standards/loads';

const PlugInIds = PLUG_INS.map(({ id }) => id);

/** What is set on the bench: breakers, handles, what is plugged in, the meter's probes. Kept beside the job. */
export const Scene = z.object({
  openBreakers: z.array(z.string()).default([]),
  positions: z.record(z.string(), z.number()).default({}),
  plugged: z.record(z.string(), z.enum(['tester', ...PlugInIds])).default({}),
  tripped: z.array(z.string()).default([]),
  meter: z
    .object({ impedance: z.enum(['high', 'low']), from: z.string().nullable(), to: z.string().nullable() })
    .default({ impedance: 'high', from: null, to: null }),
});
export type Scene = z.infer<typeof Scene>;

export const EMPTY_SCENE: Scene = Scene.parse({});

/** The scene as a state of the simulator. `builtIn` gives the watts of lamps that are not plugged in. */
export function stateOf(scene: Scene, builtIn: ReadonlyMap<string, number>): State {
  const loads = new Map(builtIn);
  const testers = new Set<string>();
  for (const [key, what] of Object.entries(scene.plugged)) {
    if (what === 'tester') testers.add(key);
    else loads.set(key, plugIn(what).watts);
  }
  const { from, to, impedance } = scene.meter;
  return {
    ...REST,
    openBreakers: new Set(scene.openBreakers),
    positions: new Map(Object.entries(scene.positions)),
    loads,
    testers,
    tripped: new Set(scene.tripped),
    meter: from !== null && to !== null ? { impedance, from, to } : null,
  };
}
