import { consumers, controlGroups } from '../layout/nets';
import type { Job } from '../model/job';
import { panelHotId, type Wiring } from '../model/wiring';
import type { Disturbance } from '../network/disturbance';
import { buildNetwork, partKey, separateParts } from '../network/network';
import { Bench } from './bench';
import { findLoops } from './loops';
import type { Finding, PartProof, Proof, Report } from './proof';
import { Wishes } from './wishes';

export type { Finding, FindingKind, PartProof, Proof, ProofCell, ProofRow } from './proof';

/**
 * Energizes the wiring in every switch state and compares each outlet half and light with its wish; also polarity,
 * the ground path, ground current, cancelling currents per cable and circuit with loads one at a time and all
 * different, conductors that form a loop, and that everything is dead with its breaker off.
 */
export function prove(job: Job, wiring: Wiring, disturbances: readonly Disturbance[] = []): Proof {
  const findings = new Map<string, Finding>();
  const find: Report = (kind, at, message) => {
    const key = `${kind} ${at}`;
    if (!findings.has(key)) findings.set(key, { kind, at, message });
  };
  const wants = new Map(consumers(job).map(({ device, part, want }) => [partKey(device.id, part), want]));
  const places = new Map(
    controlGroups(job).map(({ group, places: own }) => [group.id, own.map(({ id }) => id)]),
  );
  let statesTried = 0;
  const coverage = new Map<string, readonly string[]>();
  const parts = separateParts(wiring).map((own): PartProof => {
    const fed = new Set(own.terminations.map(({ terminal }) => terminal));
    const network = buildNetwork(
      own,
      job.circuits.filter(({ id }) => fed.has(panelHotId(id)) || disturbances.length > 0),
      disturbances.filter((one) => touches(own, one)),
    );
    const bench = new Bench(job, own, network, wants, new Wishes(wants, places), find);
    const proof = bench.run();
    statesTried += bench.statesTried;
    for (const [device, dead] of bench.coverage) coverage.set(device, dead);
    return proof;
  });
  findLoops(wiring, find);
  return { parts, coverage, findings: [...findings.values()], statesTried };
}

function touches(wiring: Wiring, disturbance: Disturbance): boolean {
  const ids = disturbance.kind === 'contact' ? [disturbance.end] : [disturbance.a, disturbance.b];
  const boxes = [...wiring.devices.flatMap(({ id, box }) => [id, box]), ...wiring.cables.map(({ id }) => id)];
  return ids.some((id) => boxes.some((own) => id === own || id.startsWith(`${own}:`)));
}
