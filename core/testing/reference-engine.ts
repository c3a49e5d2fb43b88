import { Simulation } from 'eecircuit-engine';

let engine: Promise<Simulation> | null = null;

/**
 * Node voltages of a SPICE deck by node name, from an independent circuit engine (WebAssembly SPICE). The engine keeps
 * itself in the process: only one test file may use it, or the second finds an environment that was torn down.
 */
export async function referenceVoltages(deck: string): Promise<Map<string, number>> {
  engine ??= (async () => {
    const simulation = new Simulation();
    await simulation.start();
    return simulation;
  })();
  const simulation = await engine;
  simulation.setNetList(deck);
  const result = await simulation.runSim();
  const errors = simulation.getError().filter((line) => /singular|fatal|error/i.test(line));
  if (errors.length > 0) throw new Error(errors.join('\n'));
  if (result.dataType !== 'real') throw new Error('The operating point is not real');
  return new Map(
    result.data
      .filter(({ type }) => type === 'voltage')
      .map(({ name, values }) => [name.replace(/^v\((.*)\)$/i, '$1').toLowerCase(), values[0] ?? Number.NaN]),
  );
}
