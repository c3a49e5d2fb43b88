import { memo } from 'react';
import type { Design } from '@core/job/model/design';
import type { Network } from '@core/power/network/network';
import type { PartKey } from '@core/job/model/wiring';
import type { Proof } from '@core/power/proof/prove';
import { placeName } from '@core/job/model/called';
import { say } from '~/words/energize';

/** Rows shown at once; the rest is counted. */
const ROWS = 64;

export function proofLine({ findings, parts, statesTried }: Proof): string {
  if (findings.length > 0) return `▲ ${findings[0]?.message ?? ''}`;
  const rows = parts.reduce((sum, { rows: own }) => sum + own.length, 0);
  // What is not every state is called what it is.
  const states = parts.some(({ exhaustive }) => !exhaustive)
    ? say('proofTable.sampleSwitchPositions', { rows })
    : rows === 1
      ? say('proofTable.oneSwitchPosition')
      : rows === 2
        ? say('proofTable.bothSwitchPositions')
        : say('proofTable.allSwitchPositions', { rows });
  return say('proofTable.verifiedWorksIntendedRuns', { states, statesTried });
}

/** Every switch state, each half and light, as wished or not; drawn anew only for another proof. */
export const ProofTable = memo(function ProofTable({
  job,
  proof,
  network,
}: {
  job: Design;
  proof: Proof;
  network: Network;
}) {
  const parts = new Map(network.parts.map((one) => [one.key, one]));
  const devices = new Map(network.devices.map((one) => [one.wired.id, one]));
  const partName = (key: PartKey) => {
    const part = parts.get(key);
    return part ? `${placeName(job, part.device.box)}, ${part.part.name}` : key;
  };
  const deviceOf = (id: string) => devices.get(id);
  return (
    <section aria-labelledby="proof" className="grid gap-3">
      <h3 id="proof" className="eyebrow">
        {say('proofTable.verification')}
      </h3>
      {proof.findings.map(({ message }) => (
        <p key={message} className="font-semibold">
          ▲ {message}
        </p>
      ))}
      {proof.parts
        .filter(({ parts }) => parts.length > 0)
        .map((part) => (
          <div key={part.boxes.join()} className="overflow-x-auto">
            <table className="w-full text-sm" data-proof>
              <thead>
                <tr className="border-b-2 border-ink text-left align-bottom">
                  {part.switches.map((id) => (
                    <th key={id} scope="col" className="py-1 pr-2 font-bold">
                      {placeName(job, deviceOf(id)?.wired.box ?? '')}
                    </th>
                  ))}
                  {part.parts.map((key) => (
                    <th key={key} scope="col" className="py-1 pr-2 font-bold">
                      {partName(key)}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {part.rows.slice(0, ROWS).map((row, index) => (
                  <tr key={index} className="border-b border-line">
                    {part.switches.map((id) => (
                      <td key={id} className="py-1.5 pr-2">
                        {deviceOf(id)?.kind.positions[row.positions.get(id) ?? 0]}
                      </td>
                    ))}
                    {row.cells.map((cell) => (
                      <td key={cell.part} className="py-1.5 pr-2">
                        <span className={cell.live ? 'font-bold' : ''}>
                          {cell.live === cell.wished ? '' : '▲ '}
                          {cell.live ? say('proofTable.live') : say('proofTable.dead')}
                        </span>{' '}
                        <span className="num whitespace-nowrap text-ink-soft">
                          {say('proofTable.v', { volts: cell.volts.toFixed(0) })}
                        </span>
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
            {part.rows.length > ROWS ? (
              <p className="text-sm">
                {say('proofTable.moreStatesAllTried', { rowsCount: part.rows.length - ROWS })}
              </p>
            ) : null}
          </div>
        ))}
    </section>
  );
});
