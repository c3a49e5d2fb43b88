import { runName } from '../../../job/model/called';
import { at, section, type Rule } from '../rule';
import { EXPOSURE_NAME } from '../../../job/model/place-names';
import { say, tell } from '../../../base/words/rules';

export const b10: Rule = {
  id: 'B10',
  title: say('b10.title'),
  section: section('334.12(B)(4), 300.5, 300.9'),
  severity: 'stop',
  looksAt: say('b10.runsWhereTheyGo'),
  check: (site) =>
    site.job.runs.flatMap((run) => {
      const { id, rough, existing, from, to } = run;
      if (existing !== null) return [];
      const wet = [from, to].map((end) => site.box(end)).find((box) => box?.exposure === 'wet');
      if (rough.exposure === 'dry' && !wet) return [];
      return [
        {
          at: at('run', id),
          // From inside it may reach the back of a box set flush in an outside wall: it is then in the dry wall all the way.
          ...(rough.exposure === 'dry' ? { severity: 'ask' as const } : {}),
          ...(rough.exposure === 'dry'
            ? tell('b10.endsInWet', {
                run: runName(site.job, run),
                wet: wet?.name ?? say('b10.wetPlace'),
              })
            : tell('b10.inWet', {
                run: runName(site.job, run),
                exposure: EXPOSURE_NAME[rough.exposure],
              })),
        },
      ];
    }),
};
