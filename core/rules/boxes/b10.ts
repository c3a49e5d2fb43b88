import { at, section, type Rule } from '../rule';

export const b10: Rule = {
  id: 'B10',
  title: 'NM-B in a damp, wet or outdoor place, or buried',
  section: section('334.12(B)(4), 300.5, 300.9'),
  severity: 'stop',
  looksAt: 'runs and where they go',
  check: (site) =>
    site.job.runs
      .filter(({ rough, existing }) => existing === null && rough.exposure !== 'dry')
      .map(({ id, rough }) => ({
        at: at('run', id),
        message: `The run ${id} is in a ${rough.exposure === 'buried' ? 'buried' : rough.exposure} place: another wiring method takes over at the wall.`,
      })),
};
