import { runName } from '../../../job/model/called';
import { at, section, type Rule } from '../rule';
import { STAPLE_SPACING_FT } from '../../../trade/standards/cable-run';
import { say, tell } from '../../../base/words/rules';

export const b04: Rule = {
  id: 'B04',
  title: say('b04.title'),
  section: section('334.30, 314.17'),
  severity: 'code',
  looksAt: say('b04.looksAt'),
  check: ({ job }) => [
    ...job.boxes.flatMap((box) => {
      const most = box.gangs === 1 && box.family === 'nail-on' && !box.internalClamps ? 8 : 12;
      const runs = job.runs.filter(({ from, to }) => from === box.id || to === box.id);
      const fished = runs.length > 0 && runs.every(({ rough }) => rough.fished);
      const { stapleIn } = box.rough;
      return stapleIn === null || stapleIn <= most || fished
        ? []
        : [
            {
              at: at('box', box.id),
              ...tell('b04.firstStapleAwayMost', { box: box.name, stapleIn, most }),
            },
          ];
    }),
    ...job.runs.flatMap((run) => {
      const { supportFt, fished } = run.rough;
      return supportFt !== null && supportFt > STAPLE_SPACING_FT && !fished
        ? [
            {
              at: at('run', run.id),
              ...tell('b04.finding', { run: runName(job, run), supportFt }),
            },
          ]
        : [];
    }),
  ],
};
