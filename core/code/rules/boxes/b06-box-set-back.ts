import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const b06: Rule = {
  id: 'B06',
  title: say('b06.title'),
  section: section('314.20'),
  severity: 'code',
  looksAt: say('b06.measuredSetBack'),
  check: ({ job }) =>
    job.boxes.flatMap(({ id, name, rough: { setBackIn, combustible } }) =>
      setBackIn !== null && setBackIn > (combustible ? 0 : 0.25)
        ? [{ at: at('box', id), ...tell('b06.backTrueOther', { box: name, setBackIn, combustible }) }]
        : [],
    ),
};
