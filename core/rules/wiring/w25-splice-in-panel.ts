import { endsOf } from '../../model/lookup';
import { PANEL } from '../../model/design';
import { at, section, type Rule } from '../rule';

export const w25: Rule = {
  id: 'W25',
  title: 'A splice in the panel',
  section: section('312.8', '312.8(A)'),
  severity: 'ask',
  looksAt: 'what is spliced or capped in the panel',
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
            message: `${count === 1 ? 'One splice or cap' : `${count} splices or caps`} in the panel: conductors may fill 40 % of the space at any cross-section, splices included 75 %, and the authority must allow it.`,
          },
        ];
  },
};
