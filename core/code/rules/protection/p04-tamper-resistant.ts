import type { RoomKind } from '../../../job/model/design';
import { at, section, type Rule } from '../rule';
import type { Site } from '../site';
import { say, tell } from '../../../base/words/rules';

export const p04: Rule = {
  id: 'P04',
  title: say('p04.receptacleNotTamperResistant'),
  section: section('406.12'),
  severity: 'code',
  newWork: true,
  looksAt: say('p04.marksReceptacles'),
  decided: say('p04.decided'),
  check: (site) =>
    site.receptacles.flatMap((device) => {
      const box = site.box(device.box);
      // Also excused is a receptacle of the ungrounded type (Exception 4): one with a ground slot is not, whatever it is marked.
      const exempt = (box?.heightIn ?? 0) > 66 || box?.reach === 'behind appliance';
      return device.marks.includes('tamper-resistant') || exempt
        ? []
        : [
            {
              at: at('device', device.id),
              ...(unsure(site, site.roomKind(box)) ? { severity: 'ask' as const } : {}),
              ...tell('p04.receptacleMustTamperResistant', { box: box?.name ?? device.box }),
              fix: {
                says: say('p04.tamperResistantOne'),
                commands: [
                  {
                    do: 'set device' as const,
                    device: device.id,
                    change: { marks: [...device.marks, 'tamper-resistant' as const] },
                  },
                ],
              },
            },
          ];
    }),
};

/** Places that 210.52, and so 406.12(A) of 2017, does not name; from 2020 on all of a dwelling is meant. */
const NOT_NAMED: ReadonlySet<RoomKind> = new Set<RoomKind>(['attic', 'crawl space', 'boathouse']);
const unsure = ({ edition }: Site, kind: RoomKind): boolean => edition === '2017' && NOT_NAMED.has(kind);
