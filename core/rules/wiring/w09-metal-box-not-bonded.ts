import { boxGroundId } from '../../model/wiring';
import { isMetal } from '../../standards/boxes';
import { at, section, type Rule } from '../rule';

export const w09: Rule = {
  id: 'W09',
  title: 'Metal box not bonded to the equipment ground',
  section: section('250.148(C), 314.4'),
  severity: 'stop',
  looksAt: 'metal boxes',
  check: (site) =>
    site.job.boxes.flatMap((box) => {
      const { cables, tails, terminations } = site.contents(box.id);
      const screw = boxGroundId(box.id);
      const bonded =
        tails.some(({ to }) => to === screw) || terminations.some(({ terminal }) => terminal === screw);
      return !isMetal(box.family) || cables.length === 0 || bonded
        ? []
        : [{ at: at('box', box.id), message: `The metal box ${box.name} has no ground on its screw.` }];
    }),
};
