import type { FindingKind } from '../../../power/proof/proof';
import { section, siteAt, type Rule } from '../rule';
import { say } from '../../../base/words/rules';

/** Rules that say what the verification has found already. */
const rows: readonly (Omit<Rule, 'check'> & { readonly found: readonly FindingKind[] })[] = [
  {
    id: 'W01',
    title: say('verification.works.title'),
    section: section(''),
    severity: 'stop',
    looksAt: say('verification.works.looksAt'),
    found: ['not as wished'],
  },
  {
    id: 'W04',
    title: say('verification.balance.title'),
    section: section('300.3(B)'),
    severity: 'code',
    looksAt: say('verification.balance.looksAt'),
    found: ['cable does not cancel'],
  },
  {
    id: 'W06',
    title: say('verification.loop.title'),
    section: section('310.10(H)', '310.10(G)', '310.10(G), 300.3(B)'),
    severity: 'code',
    looksAt: say('verification.hotsNeutralsGraphs'),
    found: ['loop'],
  },
  {
    id: 'W07',
    title: say('verification.bond.title'),
    section: section('250.142(B)'),
    severity: 'stop',
    looksAt: say('verification.currentGrounds'),
    found: ['ground carries current', 'ground joined'],
  },
  {
    id: 'W15',
    title: say('verification.hotsDifferentCircuitsJoined'),
    section: section('210.7, 240.4'),
    severity: 'stop',
    looksAt: say('verification.shorts.looksAt'),
    found: ['breaker trips', 'live with the breaker off'],
  },
  {
    id: 'W24',
    title: say('verification.loose.title'),
    section: section('110.14(B)'),
    severity: 'stop',
    looksAt: say('verification.loose.looksAt'),
    found: ['loose end', 'never live', 'never dead'],
  },
  {
    id: 'P09',
    title: say('verification.sharedNeutral.title'),
    section: section('110.3(B)'),
    severity: 'stop',
    looksAt: say('verification.whatTripsItself'),
    found: ['protection trips'],
  },
  {
    id: 'P10',
    title: say('verification.protected.title'),
    section: section(''),
    severity: 'stop',
    looksAt: say('verification.everyTestButton'),
    found: ['not protected'],
  },
];

export const VERIFICATION_RULES: readonly Rule[] = rows.map(({ found, ...rule }) => ({
  ...rule,
  check: (site) =>
    site
      .findings(...found)
      .map((finding) => ({ at: siteAt(finding), message: finding.message, says: finding.says })),
}));
