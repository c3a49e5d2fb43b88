import { at, section, type Rule } from '../rule';

export const b10: Rule = {
  id: 'B10',
  title: 'NM-B in a damp, wet or outdoor place, or buried',
  section: section('334.12(B)(4), 300.5, 300.9'),
  severity: 'stop',
  looksAt: 'runs and where they go',
  check: (site) =>
    site.job.runs.flatMap(({ id, rough, existing, from, to }) => {
      if (existing !== null) return [];
      const wet = [from, to].map((end) => site.box(end)).find((box) => box?.exposure === 'wet');
      if (rough.exposure === 'dry' && !wet) return [];
      return [
        {
          at: at('run', id),
          message:
            rough.exposure === 'dry'
              ? `The run ${id} ends in ${wet?.name ?? 'a wet place'}, which is wet: another wiring method takes over before it.`
              : `The run ${id} is in a ${rough.exposure} place: another wiring method takes over at the wall.`,
        },
      ];
    }),
};
