import type { Reading, Setup, Spot, Survey } from '../../job/model/survey';
import { conductorId, partKey, spliceId, terminalId } from '../../job/model/keys';
import { isWhite } from '../../trade/standards/cables';

/**
 * What a reading is evidence of: the instrument, the two things it was put on, and the state. The same pair read again
 * by the same kind of instrument in the same state is the same evidence, whichever conductor of a splice was touched,
 * whichever way round, and whether or not a lamp was pulled.
 */
export function evidenceKey(survey: Survey, { setup, probe }: Pick<Reading, 'setup' | 'probe'>): string {
  const at = (spot: Spot) => touched(survey, spot, setup.apart);
  const pair = (a: Spot, b: Spot) => [at(a), at(b)].sort().join(' ');
  const state = `${setup.breakers} ${setup.apart} ${setup.switches}`;
  switch (probe.with) {
    case 'meter':
      return `${state} volts ${probe.impedance} ${pair(probe.from, probe.to)}`;
    case 'lamp':
      return `${state} lamp ${pair(probe.from, probe.to)}`;
    case 'continuity':
      return `${state} ohms ${pair(probe.from, probe.to)}`;
    case 'non-contact':
    case 'clamp':
      return `${state} ${probe.with} ${at(probe.at)}`;
    case 'tester':
      return `${state} tester ${partKey(probe.device, probe.part)}`;
    case 'sweep':
      return `${state} sweep ${probe.box}`;
    case 'drop':
      return `${state} drop ${probe.loadA} ${pair(probe.hot, probe.neutral)}`;
    case 'residual':
      return `${state} residual ${at(probe.neutral)}`;
    case 'lifted neutral':
      return `${state} lifted neutral ${at(probe.neutral)}`;
    case 'panel clamp':
    case 'feed clamp':
      return `${state} ${probe.with} ${pair(probe.hot, probe.neutral)}`;
  }
}

/** The thing that a probe touches there: a splice, a screw, an end on its own, the ground of a box. */
export function touched(survey: Survey, spot: Spot, apart: Setup['apart']): string {
  if (spot.on === 'ground') return `ground ${spot.box}`;
  const own = conductorId(spot.cable, spot.insulation);
  for (const box of survey.boxes) {
    const end = box.ends.find(
      ({ cable, insulation }) => cable === spot.cable && insulation === spot.insulation,
    );
    if (!end) continue;
    const keeps =
      apart === 'as found' || (apart === 'hots' && isWhite(spot.insulation) && end.sits.at === 'splice');
    if (!keeps || box.id !== survey.target) return own;
    if (end.sits.at === 'splice') return spliceId(box.id, end.sits.splice);
    if (end.sits.at === 'terminal') return terminalId(end.sits.device, end.sits.terminal);
  }
  return own;
}
