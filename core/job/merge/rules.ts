import { canonical, type Fields } from '../../base/merge/same';
import type { Rules } from '../../base/merge/three-way';

const by =
  (...fields: readonly string[]) =>
  (thing: Fields): string =>
    fields.map((field) => canonical(thing[field])).join(' ');

/** Of two ticks of one step the first; where what was joined is another, the last: that is what hangs there. */
const firstOf = (a: Fields, b: Fields): Fields => {
  const [early, late] = by('at')(a) + canonical(a) < by('at')(b) + canonical(b) ? [a, b] : [b, a];
  return canonical(early['did']) === canonical(late['did']) ? early : late;
};

/** How jobs, houses and a shop's own come together: what their lists are of, and what is one value. */
export const RULES: Rules = {
  known: {
    ticks: by('box', 'step'),
    tasks: by('task'),
    tests: by('test', 'at', 'shows'),
    log: by('at', 'by', 'kind', 'box', 'says'),
    lines: by('about', 'says'),
    marks: by('x', 'y', 'run', 'insulation'),
    readings: by('setup', 'probe'),
    ends: by('cable', 'insulation'),
    tails: by('splice', 'device', 'terminal'),
    same: by('a', 'b'),
    amendments: by('rule'),
    panel: by('number'),
    people: by('name'),
    openings: by('kind', 'wall', 'fromFt', 'toFt'),
  },
  whole: new Set([
    'spot',
    'about',
    'sits',
    'setup',
    'probe',
    'value',
    'laidOut',
    'crew',
    'wallsFt',
    'counters',
    'weights',
    'picture',
    'scale',
    'check',
    'plan',
    'at',
    'panelAt',
    'turnsDeg',
    'corners',
    'pin',
  ]),
  isOther: (a, b) => a['does'] !== b['does'],
  logs: new Set(['ticks', 'tasks', 'tests', 'log', 'lines', 'marks', 'readings', 'surveys', 'photos']),
  settled: { ticks: firstOf, tasks: firstOf },
};
