import { at, section, type Rule } from '../rule';

export const x01: Rule = {
  id: 'X01',
  title: 'Wiring outside what is planned: aluminum, cloth, knob-and-tube, scorched',
  section: section(''),
  severity: 'stop',
  looksAt: 'what was found in opened boxes',
  reads: 'record',
  check: ({ job, record }) =>
    record.surveys.flatMap(({ name, outside }) =>
      outside.map((what) => ({
        at: at('job', job.id),
        message: `${name}: ${what}. Stop: this is outside of what Split Tap plans.`,
      })),
    ),
};
