import { tabId } from '../../job/model/wiring';
import { withTab } from '../network/disturbance';
import { say } from '../../base/words/faults';
import { rewired, type FaultRow, type Placed, type Wired } from './fault';
import { Places, type Placeable } from './places';

const tabsOf = (wired: Wired, ask: (device: Placeable, tab: string, whole: boolean) => boolean): Placed[] =>
  new Places(wired).devices.flatMap((device) =>
    device.kind.tabs.flatMap((tab): Placed[] => {
      const whole = !device.wired.brokenTabs.includes(tab.id);
      if (!ask(device, tab.id, whole)) return [];
      const { id, box } = device.wired;
      return [
        {
          key: tabId(id, tab.id),
          box,
          points: [tabId(id, tab.id)],
          place: device.place,
          put: rewired((wiring) => withTab(wiring, id, tab.id, whole ? 'broken' : 'whole')),
        },
      ];
    }),
  );

/** A tab feeds the other half where something lands on one of its screws only. */
const fedOnOneSide = ({ kind, used }: Placeable, tab: string): boolean => {
  const joins = kind.tabs.find(({ id }) => id === tab)?.joins ?? [];
  return joins.filter((terminal) => used(terminal)).length === 1;
};

export const TAB_FAULTS: readonly FaultRow[] = [
  {
    id: 'F01',
    name: say('f01.name'),
    shows: say('f01.shows'),
    hides: '',
    fix: say('f01.fix'),
    weight: 6,
    where: (wired) => tabsOf(wired, (_, tab, whole) => tab === 'hot-tab' && !whole),
  },
  {
    id: 'F02',
    name: say('f02.name'),
    shows: say('f02.shows'),
    hides: '',
    fix: say('f02.fix'),
    weight: 2,
    where: (wired) =>
      tabsOf(wired, (device, tab, whole) => tab === 'hot-tab' && whole && fedOnOneSide(device, tab)),
  },
  {
    id: 'F03',
    name: say('f03.name'),
    shows: say('f03.shows'),
    hides: '',
    fix: say('f03.fix'),
    weight: 1,
    where: (wired) =>
      tabsOf(wired, (device, tab, whole) => tab === 'neutral-tab' && whole && fedOnOneSide(device, tab)),
  },
  {
    id: 'F22',
    name: say('f22.name'),
    shows: say('f22.shows'),
    hides: '',
    fix: say('f22.fix'),
    weight: 3,
    where: (wired) =>
      tabsOf(wired, (device, tab, whole) => tab === 'jumper' && (!whole || fedOnOneSide(device, tab))),
  },
];
