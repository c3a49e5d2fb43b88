import { circuitsOf } from '../../../job/model/in-box';
import { PANEL, type Run } from '../../../job/model/design';
import { isMetal } from '../../../trade/standards/boxes';
import { at, section, type Hit, type Rule } from '../rule';
import type { Site } from '../site';
import { say, tell } from '../../../base/words/rules';

/** A box on a flexible cord for the bench is no part of the house's wiring: in sight, one circuit, cord to the end. */
export const w26: Rule = {
  id: 'W26',
  title: say('w26.cordForFixedWiring'),
  section: section('400.12, 400.14, 314.23(H)'),
  severity: 'stop',
  looksAt: say('w26.cords'),
  check: (site) => site.job.runs.filter(({ cord }) => cord).flatMap((run) => hitsOf(site, run)),
};

function hitsOf(site: Site, run: Run): Hit[] {
  const own = site.wiring.cables.filter((cable) => cable.run === run.id);
  if (own.length === 0) return [];
  const boxes = [run.from, run.to].flatMap((id) => (id === PANEL ? [] : (site.box(id) ?? [])));
  const box = boxes.at(-1)?.name ?? '';
  const circuits = circuitsOf(own);
  const hidden =
    run.route !== 'given' ||
    run.rough.fished ||
    run.rough.exposure === 'buried' ||
    boxes.some(({ concealed }) => concealed);
  return [
    ...(hidden ? [{ at: at('run', run.id), ...tell('w26.insideWall', { box }) }] : []),
    ...(circuits.size > 1 || own.length > 1
      ? [{ at: at('run', run.id), ...tell('w26.twoCircuits', { box }) }]
      : []),
    ...boxes.flatMap((one): Hit[] =>
      site.contents(one.id).cables.some(({ cord }) => !cord)
        ? [{ at: at('box', one.id), ...tell('w26.withCable', { box: one.name }) }]
        : isMetal(one.family)
          ? []
          : [{ at: at('box', one.id), severity: 'ask', ...tell('w26.box', { box: one.name }) }],
    ),
  ];
}
