import type { FindingKind } from '../../proof/proof';
import { section, siteAt, type Rule } from '../rule';

/** Rules that say what the verification has found already. */
const rows: readonly (Omit<Rule, 'check'> & { readonly found: readonly FindingKind[] })[] = [
  {
    id: 'W01',
    title: 'A receptacle half or light does not do what it should',
    section: section(''),
    severity: 'stop',
    looksAt: 'every part in every switch state',
    found: ['not as wished'],
  },
  {
    id: 'W04',
    title: 'Hots and neutral of a circuit in a cable do not add to zero',
    section: section('300.3(B)'),
    severity: 'code',
    looksAt: 'currents in every cable, one load at a time and all different',
    found: ['cable does not cancel'],
  },
  {
    id: 'W06',
    title: 'A net forms a loop: two paths in parallel',
    section: section('310.10(H)', '310.10(G)', '310.10(G), 300.3(B)'),
    severity: 'code',
    looksAt: 'hots and neutrals as graphs',
    found: ['loop'],
  },
  {
    id: 'W07',
    title: 'Neutral and equipment ground joined past the service',
    section: section('250.142(B)'),
    severity: 'stop',
    looksAt: 'current in grounds',
    found: ['ground carries current', 'ground joined'],
  },
  {
    id: 'W15',
    title: 'Hots of different circuits joined',
    section: section('210.7, 240.4'),
    severity: 'stop',
    looksAt: 'shorts, and what stays live with its breaker off',
    found: ['breaker trips', 'live with the breaker off'],
  },
  {
    id: 'W24',
    title: 'A conductor end left loose, or a part that is never live or never off',
    section: section('110.14(B)'),
    severity: 'stop',
    looksAt: 'every conductor end; every part in every switch state',
    found: ['loose end', 'never live', 'never dead'],
  },
  {
    id: 'P09',
    title: 'Shared neutral carried through a two-wire GFCI or AFCI device: it trips',
    section: section('110.3(B)'),
    severity: 'stop',
    looksAt: 'what trips by itself',
    found: ['protection trips'],
  },
  {
    id: 'P10',
    title: 'An outlet that should be protected stays live when the button is pressed',
    section: section(''),
    severity: 'stop',
    looksAt: 'every test button',
    found: ['not protected'],
  },
];

export const VERIFICATION_RULES: readonly Rule[] = rows.map(({ found, ...rule }) => ({
  ...rule,
  check: (site) =>
    site.findings(...found).map((finding) => ({ at: siteAt(finding), message: finding.message })),
}));
