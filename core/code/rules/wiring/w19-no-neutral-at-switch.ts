import { wishKind } from '../../../trade/devices';
import type { RoomKind } from '../../../job/model/design';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

/** Spaces that the section names, and those that it leaves out or that hang on the authority. */
const LISTED = new Set<RoomKind>([
  'bathroom',
  'hallway',
  'stairway',
  'kitchen',
  'dining',
  'living',
  'family',
  'den',
  'library',
  'bedroom',
  'sunroom',
  'recreation',
]);
const NOT_LISTED = new Set<RoomKind>([
  'closet',
  'crawl space',
  'attic',
  'outdoors',
  'boathouse',
  'accessory building',
]);

export const w19: Rule = {
  id: 'W19',
  title: say('w19.title'),
  section: section('404.2(C)'),
  severity: 'code',
  newWork: true,
  looksAt: say('w19.switchBoxesLights'),
  check: (site) => {
    const seen = new Set<string>();
    return site.handles().flatMap(({ device, group }) => {
      const box = site.box(device.box);
      const { cables } = site.contents(device.box);
      const own = site.controlled(group);
      const kind = site.roomKind(box);
      const here = cables.some(({ conductors }) => conductors.some(({ role }) => role === 'neutral'));
      if (!box || here || cables.length === 0 || wishKind(device.kind).wireless || seen.has(box.id))
        return [];
      if (!own.some(({ plug }) => !plug) || own.some(({ plug }) => plug) || NOT_LISTED.has(kind)) return [];
      // Several places that see the whole room: one with a neutral is enough.
      const others = site.handles().filter((other) => other.group === group && other.device.box !== box.id);
      if (
        others.some((other) =>
          site
            .contents(other.device.box)
            .cables.some(({ conductors }) => conductors.some(({ role }) => role === 'neutral')),
        )
      )
        return [];
      seen.add(box.id);
      const sure = LISTED.has(kind);
      const severity = box.existing ? ('craft' as const) : sure ? ('code' as const) : ('ask' as const);
      return [
        {
          at: at('box', box.id),
          severity,
          ...tell('w19.missing', { box: box.name, sure }),
        },
      ];
    });
  },
};
