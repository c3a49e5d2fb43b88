import { inBox, type InBox } from '../../job/model/in-box';
import { PANEL, type Circuit, type Design } from '../../job/model/design';
import {
  endId,
  PANEL_GROUND,
  PANEL_NEUTRAL,
  panelHotId,
  panelNeutralId,
  type TerminalId,
  type Wiring,
} from '../../job/model/wiring';
import { say } from '../../base/words/makeup';

/**
 * What is made up and drawn of a panel that holds splices (312.8): the cables that have a conductor spliced or capped there, and
 * where their other conductors land.
 */
export function panelContents(wiring: Wiring): InBox {
  const all = inBox(wiring, PANEL);
  const loose = new Set<string>([
    ...all.splices.flatMap(({ ends }) => ends),
    ...all.caps.map(({ end }) => end),
  ]);
  const cables = all.cables.filter(({ conductors }) =>
    conductors.some(({ id, net }) => net !== null && loose.has(endId(id, PANEL))),
  );
  const shown = new Set<string>(
    cables.flatMap(({ conductors }) => conductors.map(({ id }) => endId(id, PANEL))),
  );
  return {
    ...all,
    cables,
    splices: all.splices.filter(({ ends }) => ends.some((end) => shown.has(end))),
    terminations: all.terminations.filter(({ end }) => shown.has(end)),
    caps: all.caps.filter(({ end }) => shown.has(end)),
  };
}

/** True where a conductor is spliced or capped in the panel that comes there to go on. */
const panelSpliced = (wiring: Wiring): boolean => panelContents(wiring).cables.length > 0;

/** Every breaker's screws and every bar that a conductor can be put on: a plain breaker has no screw for a neutral. */
export const panelTerminals = (circuits: readonly Circuit[]): readonly TerminalId[] => [
  ...circuits.flatMap(({ id, protection }) =>
    protection === 'none' ? [panelHotId(id)] : [panelHotId(id), panelNeutralId(id)],
  ),
  PANEL_NEUTRAL,
  PANEL_GROUND,
];

/** Where each conductor of a drawn panel lands, in words: "breaker 14", "the neutral bar". */
export function panelLanding(job: Design, terminal: TerminalId): string {
  if (terminal === PANEL_NEUTRAL) return say('panel.neutralBar');
  if (terminal === PANEL_GROUND) return say('panel.groundBar');
  for (const { id, number } of job.circuits) {
    if (terminal === panelHotId(id)) return say('panel.breaker', { number });
    if (terminal === panelNeutralId(id)) return say('panel.neutralScrewBreaker', { number });
  }
  return say('panel.panel');
}

/** The places to make up, the panel among them where it holds splices. */
export const placesToMakeUp = ({ boxes }: Design, wiring: Wiring): ReadonlySet<string> =>
  new Set([...(panelSpliced(wiring) ? [PANEL] : []), ...boxes.map(({ id }) => id)]);
