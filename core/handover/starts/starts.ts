import type { DesignCommand } from '../../job/commands/command';
import type { WishKind } from '../../trade/devices';
import type { Question, Start } from './start';
import { say } from '../../base/words/starts';

/* The starting points, each a row: what stands where, and the two or three things that differ from job to job. */

const CIRCUIT = 'circuit';
/** Length of a run until it is said, ft. */
const FAR_FT = 15;
const NEAR_FT = 12;
/** What the first box controls, as `add device` names it. */
const GROUP = 'first-switch';

type Holds = 'outlet' | 'switch' | 'light';

/** The first box, with what it holds. */
const first = (name: string, ...holds: readonly Holds[]): DesignCommand[] => [
  { do: 'set box', box: 'first', change: { name } },
  ...holds.map((what): DesignCommand => beside('first', what)),
];
const beside = (box: string, holds: Holds, group: string | null = null): DesignCommand => ({
  do: 'add device',
  box,
  holds,
  circuit: CIRCUIT,
  group,
});
/** A box at the end of a new run; its id is never a translated word. */
const box = (
  from: string,
  id: string,
  name: string,
  holds: Holds,
  group: string | null,
  lengthFt = FAR_FT,
): DesignCommand[] => [
  { do: 'add box', from, name: id, holds, circuit: CIRCUIT, group, lengthFt },
  { do: 'set box', box: id, change: { name } },
];
const named = (group: string, name: string): DesignCommand => ({ do: 'rename group', group, name });
const control = (device: string, part: string, by: string | null): DesignCommand => ({
  do: 'set control',
  device,
  part,
  control: by,
});
const kind = (device: string, is: WishKind): DesignCommand => ({ do: 'set kind', device, kind: is });
/** What is in the wall already and stays. */
const existing = (
  runs: readonly string[],
  boxes: readonly string[],
  devices: readonly string[],
): DesignCommand[] => [
  ...runs.map((run): DesignCommand => ({ do: 'set run', run, change: { existing: '12-2' } })),
  ...boxes.map((own): DesignCommand => ({ do: 'set box', box: own, change: { existing: true } })),
  ...devices.map((device): DesignCommand => ({ do: 'set device', device, change: { was: true } })),
];
const replaces = (device: string): DesignCommand => ({
  do: 'set device',
  device,
  change: { replaces: true, was: false },
});

const SWITCH = say('starts.switch');
const OUTLET = say('starts.outlet');
const LIGHT = say('starts.light');

/** A switch, and an outlet it works further on. */
const switchAndOutlet = [
  ...first(SWITCH, 'switch'),
  named(GROUP, say('starts.theSwitch')),
  ...box('first', 'outlet', OUTLET, 'outlet', GROUP),
];
/** A switch and its light, both there. */
const switchAndLight = [
  ...first(SWITCH, 'switch'),
  named(GROUP, say('starts.theLightSwitch')),
  ...box('first', 'light', LIGHT, 'light', GROUP, NEAR_FT),
];
const thereAlready = existing(['first-light'], ['first', 'light'], ['first-switch', 'light-light']);

const FEED: Question = {
  id: 'feed',
  label: say('starts.powerArrives'),
  answers: [
    { id: 'switch', label: say('starts.atSwitch'), commands: [] },
    {
      id: 'outlet',
      label: say('starts.atOutlet'),
      commands: [{ do: 'move feed', run: 'feed', box: 'outlet' }],
    },
  ],
};
const half = (part: 'upper' | 'lower', label: string, switched: boolean): Question => {
  const always = {
    id: 'always',
    label: say('starts.always'),
    commands: [control('outlet-outlet', part, null)],
  };
  const byIt = {
    id: 'switched',
    label: say('starts.fromSwitch'),
    commands: [control('outlet-outlet', part, GROUP)],
  };
  return { id: part, label, answers: switched ? [byIt, always] : [always, byIt] };
};
const OWN_OUTLET: Question = {
  id: 'outlet',
  label: say('starts.outletIs'),
  answers: [
    { id: 'always', label: say('starts.always'), commands: [] },
    {
      id: 'switched',
      label: say('starts.withLight'),
      commands: [control('first-outlet', 'upper', GROUP), control('first-outlet', 'lower', GROUP)],
    },
  ],
};

/** A third switch between the second one and the light. */
const thirdSwitch: DesignCommand[] = [
  { do: 'split run', run: 'second-light', name: 'third' },
  beside('third', 'switch', GROUP),
  { do: 'set box', box: 'third', change: { name: say('starts.thirdSwitch') } },
];
const severalPlaces: DesignCommand[] = [
  ...first(say('starts.firstSwitch'), 'switch'),
  named(GROUP, say('starts.theLightSwitches')),
  ...box('first', 'second', say('starts.secondSwitch'), 'switch', GROUP),
  ...box('second', 'light', LIGHT, 'light', GROUP, NEAR_FT),
];

const after = (count: number): DesignCommand[] => [
  ...Array.from({ length: count }, (_, index) =>
    box(
      index === 0 ? 'first' : `after-${index}`,
      `after-${index + 1}`,
      say('starts.outletNumber', { number: index + 2 }),
      'outlet',
      null,
      NEAR_FT,
    ),
  ).flat(),
  { do: 'feed beyond', device: 'first-outlet', from: 'LOAD' },
];
const gfciFirst: DesignCommand[] = [
  ...first(say('starts.gfciOutlet'), 'outlet'),
  kind('first-outlet', 'gfci'),
];

/** A duplex in the place of which something goes, and a switch with its light. */
const oldDuplex: DesignCommand[] = [...first(OUTLET, 'outlet'), ...existing([], ['first'], ['first-outlet'])];
const oldSwitch: DesignCommand[] = [...switchAndLight, ...thereAlready];
const inPlaceOf = (
  id: string,
  label: string,
  old: readonly DesignCommand[],
  device: string,
  is: WishKind | null,
): Question['answers'][number] => ({
  id,
  label,
  commands: [...old, ...(is === null ? [] : [kind(device, is)]), replaces(device)],
});

const HALF_SWITCHED: Start = {
  id: 'half-switched',
  name: say('starts.halfSwitched'),
  says: say('starts.halfSwitchedSays'),
  given: [say('starts.cableFromPanelThere'), say('starts.newRunFt', { lengthFt: FAR_FT })],
  commands: switchAndOutlet,
  questions: [
    FEED,
    half('upper', say('starts.upperHalf'), false),
    half('lower', say('starts.lowerHalf'), true),
  ],
  circuits: 1,
  breakerA: 20,
  opens: 'make-up',
};
const FAN: DesignCommand[] = [
  ...first(say('starts.switches'), 'switch'),
  named(GROUP, say('starts.theLightSwitch')),
  ...box('first', 'fan', say('starts.fanAndLightBox'), 'light', GROUP, NEAR_FT),
  kind('fan-light', 'fan-light'),
];
const TWO_SWITCHES: DesignCommand[] = [
  beside('first', 'switch'),
  named('first-switch-2', say('starts.theFanSwitch')),
  control('fan-light', 'fan', 'first-switch-2'),
];

export const STARTS: readonly Start[] = [
  HALF_SWITCHED,
  {
    ...HALF_SWITCHED,
    id: 'whole-switched',
    name: say('starts.wholeSwitched'),
    says: say('starts.wholeSwitchedSays'),
    commands: [...switchAndOutlet, control('outlet-outlet', 'upper', GROUP)],
    questions: [FEED],
  },
  {
    id: 'beside-switch',
    name: say('starts.besideSwitch'),
    says: say('starts.besideSwitchSays'),
    given: [say('starts.feedAtSwitch'), say('starts.switchLightThere'), say('starts.twoGangBox')],
    commands: [
      ...switchAndLight,
      ...existing(['first-light'], ['light'], ['first-switch', 'light-light']),
      beside('first', 'outlet'),
    ],
    questions: [OWN_OUTLET],
    circuits: 1,
    breakerA: 15,
    opens: 'make-up',
  },
  {
    id: 'tapped',
    name: say('starts.tapped'),
    says: say('starts.tappedSays'),
    given: [say('starts.whitesSplicedUntilFound'), say('starts.newRunFt', { lengthFt: FAR_FT })],
    commands: [...switchAndLight, ...thereAlready, ...box('first', 'outlet', OUTLET, 'outlet', null)],
    questions: [],
    circuits: 1,
    breakerA: 15,
    opened: 'feed-at-switch',
    opens: 'find',
  },
  {
    id: 'combination',
    name: say('starts.combination'),
    says: say('starts.combinationSays'),
    given: [say('starts.feedAtSwitch'), say('starts.switchLightThere'), say('starts.outletAlways')],
    commands: [...switchAndLight, ...thereAlready],
    questions: [
      {
        id: 'gfci',
        label: say('starts.gfciInIt'),
        answers: [
          {
            id: 'no',
            label: say('starts.no'),
            commands: [kind('first-switch', 'combination'), replaces('first-switch')],
          },
          {
            id: 'yes',
            label: say('starts.yes'),
            commands: [kind('first-switch', 'combination-gfci'), replaces('first-switch')],
          },
        ],
      },
    ],
    circuits: 1,
    breakerA: 15,
    opens: 'make-up',
  },
  {
    id: 'bench',
    name: say('starts.bench'),
    says: say('starts.benchSays'),
    given: [say('starts.benchMetal'), say('starts.benchCord')],
    commands: [
      ...first(say('starts.benchBox'), 'switch'),
      kind('first-switch', 'combination'),
      named(GROUP, say('starts.benchLight')),
      { do: 'set box', box: 'first', change: { family: 'metal square', volumeIn3: 30.3, ringIn3: 0 } },
      { do: 'set run', run: 'feed', change: { existing: null, cord: true, lengthFt: 6 } },
    ],
    questions: [
      {
        id: 'works',
        label: say('starts.benchSwitchWorks'),
        answers: [
          {
            id: 'outlet',
            label: say('starts.benchOwnOutlet'),
            commands: [control('first-switch', 'outlet', GROUP)],
          },
          {
            id: 'light',
            label: say('starts.benchLightOnward'),
            commands: [
              ...box('first', 'light', LIGHT, 'light', GROUP, 6),
              { do: 'set box', box: 'light', change: { family: 'metal octagon', volumeIn3: 21.5 } },
              { do: 'set run', run: 'first-light', change: { cord: true } },
            ],
          },
        ],
      },
    ],
    circuits: 1,
    breakerA: 15,
    opens: 'make-up',
  },
  {
    id: 'several-places',
    name: say('starts.severalPlaces'),
    says: say('starts.severalPlacesSays'),
    given: [say('starts.feedAtFirstSwitch'), say('starts.newRuns')],
    commands: severalPlaces,
    questions: [
      {
        id: 'places',
        label: say('starts.places'),
        answers: [
          { id: '2', label: '2', commands: [] },
          { id: '3', label: '3', commands: thirdSwitch },
        ],
      },
      {
        id: 'outlet',
        label: say('starts.receptacleBesideFirst'),
        answers: [
          { id: 'none', label: say('starts.no'), commands: [] },
          { id: 'beside', label: say('starts.yes'), commands: [beside('first', 'outlet')] },
        ],
      },
    ],
    circuits: 1,
    breakerA: 15,
    opens: 'make-up',
  },
  {
    id: 'gfci-first',
    name: say('starts.gfciFirst'),
    says: say('starts.gfciFirstSays'),
    given: [say('starts.cableFromPanelThere'), say('starts.allAfterLoad')],
    commands: gfciFirst,
    questions: [
      {
        id: 'after',
        label: say('starts.outletsAfterIt'),
        answers: [1, 2, 3].map((count) => ({
          id: String(count),
          label: String(count),
          commands: after(count),
        })),
      },
    ],
    circuits: 1,
    breakerA: 20,
    opens: 'make-up',
  },
  {
    id: 'two-circuits',
    name: say('starts.twoCircuits'),
    says: say('starts.twoCircuitsSays'),
    given: [say('starts.threeWireFromPanel'), say('starts.upperFirstLowerSecond'), say('starts.commonTrip')],
    commands: [
      ...first(OUTLET, 'outlet'),
      {
        do: 'add circuit',
        circuit: {
          id: 'second',
          number: '3',
          breakerA: 20,
          leg: 'B',
          existingLoadVA: 0,
          protection: 'none',
          multiwireWith: null,
          tiedWith: null,
          serves: 'general',
          fresh: false,
          others: { VA: 0, continuousVA: 0 },
        },
      },
      { do: 'set circuit', circuit: CIRCUIT, change: { multiwireWith: 'second', tiedWith: 'second' } },
      { do: 'set run circuits', run: 'feed', circuits: [CIRCUIT, 'second'] },
      { do: 'set run', run: 'feed', change: { existing: '12-3' } },
      { do: 'set want', device: 'first-outlet', part: 'lower', change: { circuit: 'second' } },
    ],
    questions: [],
    circuits: 2,
    breakerA: 20,
    opens: 'make-up',
  },
  {
    id: 'fan-and-light',
    name: say('starts.fanAndLight'),
    says: say('starts.fanAndLightSays'),
    given: [say('starts.feedAtSwitch'), say('starts.newRuns')],
    commands: FAN,
    questions: [
      {
        id: 'switches',
        label: say('starts.switchedBy'),
        answers: [
          { id: 'two', label: say('starts.twoSwitches'), commands: TWO_SWITCHES },
          { id: 'one', label: say('starts.oneSwitchBoth'), commands: [] },
        ],
      },
    ],
    circuits: 1,
    breakerA: 15,
    opens: 'make-up',
  },
  {
    id: 'replace',
    name: say('starts.replace'),
    says: say('starts.replaceSays'),
    given: [say('starts.boxCableStay')],
    commands: [],
    questions: [
      {
        id: 'what',
        label: say('starts.replaceWhat'),
        answers: [
          inPlaceOf('duplex-gfci', say('starts.duplexWithGfci'), oldDuplex, 'first-outlet', 'gfci'),
          inPlaceOf('duplex-dual', say('starts.duplexWithDual'), oldDuplex, 'first-outlet', 'dual-function'),
          inPlaceOf('duplex', say('starts.duplexWithDuplex'), oldDuplex, 'first-outlet', null),
          inPlaceOf('switch-dimmer', say('starts.switchWithDimmer'), oldSwitch, 'first-switch', 'dimmer'),
          inPlaceOf(
            'switch-timer',
            say('starts.switchWithTimer'),
            oldSwitch,
            'first-switch',
            'electronic-switch',
          ),
          inPlaceOf('switch', say('starts.switchWithSwitch'), oldSwitch, 'first-switch', null),
        ],
      },
    ],
    circuits: 1,
    breakerA: 15,
    opens: 'make-up',
  },
  {
    id: 'wrong',
    name: say('starts.wrong'),
    says: say('starts.wrongSays'),
    given: [say('starts.wiredAsUsual')],
    commands: [],
    questions: [
      {
        id: 'what',
        label: say('starts.wrongWhat'),
        answers: [
          { id: 'half', label: say('starts.halfSwitched'), commands: switchAndOutlet },
          { id: 'light', label: say('starts.lightOneSwitch'), commands: switchAndLight },
          { id: 'places', label: say('starts.lightTwoSwitches'), commands: severalPlaces },
          { id: 'gfci', label: say('starts.outletsBehindGfci'), commands: [...gfciFirst, ...after(2)] },
          { id: 'fan', label: say('starts.fanAndLight'), commands: [...FAN, ...TWO_SWITCHES] },
        ],
      },
    ],
    circuits: 1,
    breakerA: 15,
    opens: 'test',
  },
  {
    id: 'opened-box',
    name: say('starts.openedBox'),
    says: say('starts.openedBoxSays'),
    given: [say('starts.nothingYet')],
    commands: [],
    questions: [],
    circuits: 1,
    breakerA: 15,
    opened: null,
    opens: 'find',
  },
  {
    id: 'blank',
    name: say('starts.blank'),
    says: say('starts.blankSays'),
    given: [say('starts.oneBoxOneCircuit')],
    commands: [],
    questions: [],
    circuits: 1,
    breakerA: 20,
    opens: 'lay-out',
  },
];

export const startOf = (id: string): Start | undefined => STARTS.find((one) => one.id === id);
