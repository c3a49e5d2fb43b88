import { endsOf } from '../../../job/model/lookup';
import { PANEL } from '../../../job/model/design';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const w25: Rule = {
  id: 'W25',
  title: say('w25.splicePanel'),
  section: section('312.8', '312.8(A)'),
  severity: 'ask',
  looksAt: say('w25.whatSplicedCappedPanel'),
  check: (site) => {
    const { splices, caps } = site.contents(PANEL);
    const ends = endsOf(site.wiring);
    // A spare that ends there is no splice.
    const live = caps.filter(({ end }) => (ends.get(end)?.conductor.net ?? null) !== null);
    const count = splices.length + live.length;
    return count === 0
      ? []
      : [
          {
            at: at('job', site.job.id),
            ...tell('w25.fill', {
              count: count === 1 ? say('w25.oneSpliceCap') : say('w25.splicesCaps', { count }),
            }),
          },
        ];
  },
};
