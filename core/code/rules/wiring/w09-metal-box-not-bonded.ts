import { boxGroundId } from '../../../job/model/wiring';
import { isMetal } from '../../../trade/standards/boxes';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const w09: Rule = {
  id: 'W09',
  title: say('w09.title'),
  section: section('250.148(C), 314.4'),
  severity: 'stop',
  looksAt: say('w09.metalBoxes'),
  check: (site) =>
    site.job.boxes.flatMap((box) => {
      const { cables, tails, terminations } = site.contents(box.id);
      const screw = boxGroundId(box.id);
      const bonded =
        tails.some(({ to }) => to === screw) || terminations.some(({ terminal }) => terminal === screw);
      return !isMetal(box.family) || cables.length === 0 || bonded
        ? []
        : [{ at: at('box', box.id), ...tell('w09.finding', { box: box.name }) }];
    }),
};
