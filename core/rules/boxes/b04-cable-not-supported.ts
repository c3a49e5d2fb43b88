import { at, section, type Rule } from '../rule';

export const b04: Rule = {
  id: 'B04',
  title: 'First staple too far, or supports too far apart',
  section: section('334.30, 314.17'),
  severity: 'code',
  looksAt: 'measured supports; not where fished through finished walls',
  check: ({ job }) => [
    ...job.boxes.flatMap((box) => {
      const most = box.gangs === 1 && box.family === 'nail-on' && !box.internalClamps ? 8 : 12;
      const runs = job.runs.filter(({ from, to }) => from === box.id || to === box.id);
      const fished = runs.length > 0 && runs.every(({ rough }) => rough.fished);
      return (box.rough.stapleIn ?? 0) <= most || fished
        ? []
        : [
            {
              at: at('box', box.id),
              message: `${box.name}: the first staple is ${box.rough.stapleIn} in away; at most ${most} in.`,
            },
          ];
    }),
    ...job.runs
      .filter(({ rough }) => (rough.supportFt ?? 0) > 4.5 && !rough.fished)
      .map(({ id, rough }) => ({
        at: at('run', id),
        message: `The run ${id} hangs free over ${rough.supportFt} ft; at most 4½ ft.`,
      })),
  ],
};
