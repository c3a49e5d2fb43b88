import { z } from 'zod';
import { Job } from '../model/job';

/*
 * Alder Court, house 12: an invented two-story house that its owner is freshening up. Nothing in it is real.
 */

type JobInput = z.input<typeof Job>;

const SITE = 'Alder Court 12';

const CIRCUITS = {
  c7: { id: 'c7', number: '7', breakerA: 15, leg: 'A', existingLoadVA: 420 },
  c9: { id: 'c9', number: '9', breakerA: 15, leg: 'A', existingLoadVA: 360 },
  c12: { id: 'c12', number: '12', breakerA: 20, leg: 'B', existingLoadVA: 300 },
  c14: { id: 'c14', number: '14', breakerA: 20, leg: 'B', existingLoadVA: 540 },
  c16: {
    id: 'c16',
    number: '16',
    breakerA: 20,
    leg: 'A',
    existingLoadVA: 0,
    multiwireWith: 'c18',
    tiedWith: 'c18',
  },
  c18: {
    id: 'c18',
    number: '18',
    breakerA: 20,
    leg: 'B',
    existingLoadVA: 0,
    multiwireWith: 'c16',
    tiedWith: 'c16',
  },
} as const satisfies Record<string, JobInput['circuits'][number]>;

const on = (circuit: string, control: string | null, watts?: number, continuous?: boolean) => ({
  does: 'power' as const,
  circuit,
  control,
  ...(watts === undefined ? {} : { watts }),
  ...(continuous === undefined ? {} : { continuous }),
});
const handle = (group: string) => ({ handle: { does: 'control' as const, group } });

const sunroom: JobInput = {
  id: 'sunroom-plant-shelf',
  name: 'Sunroom plant shelf',
  site: SITE,
  edition: '2020',
  circuits: [CIRCUITS.c14],
  boxes: [
    {
      id: 'garden-door',
      name: 'Garden door',
      family: 'nail-on',
      gangs: 1,
      volumeIn3: 20.3,
      heightIn: 48,
      doorSide: 'left',
      spot: { room: 'sunroom', wall: 0, alongFt: 4 },
    },
    {
      id: 'plant-shelf',
      name: 'Plant shelf',
      family: 'nail-on',
      gangs: 1,
      volumeIn3: 20.3,
      heightIn: 40,
      spot: { room: 'sunroom', wall: 1, alongFt: 5 },
    },
  ],
  runs: [
    { id: 'feed', from: 'panel', to: 'garden-door', lengthFt: 34, existing: '12-2', circuits: ['c14'] },
    { id: 'shelf-run', from: 'garden-door', to: 'plant-shelf', lengthFt: 18 },
  ],
  brief: {
    wish: 'Grow lamps on the half that the garden door switch turns on; a humidifier that stays on.',
    facts: 'Walls open on the garden side.',
  },
  rooms: [{ id: 'sunroom', name: 'Sunroom', ceilingFt: 8, wallsFt: [14, 11, 14, 11] }],
  groups: [{ id: 'shelf', name: 'the garden door switch' }],
  devices: [
    { id: 'door-switch', box: 'garden-door', gang: 0, kind: 'switch', wants: handle('shelf') },
    {
      id: 'shelf-outlet',
      box: 'plant-shelf',
      gang: 0,
      kind: 'duplex',
      wants: { upper: on('c14', null, 40, true), lower: on('c14', 'shelf', 240, true) },
    },
  ],
};

const hall: JobInput = {
  id: 'hall-console',
  name: 'Hall console',
  site: SITE,
  edition: '2020',
  circuits: [CIRCUITS.c9],
  boxes: [
    { id: 'hall-switch', name: 'Hall switch', family: 'cut-in', gangs: 1, volumeIn3: 20, existing: true },
    { id: 'hall-light', name: 'Hall light', family: 'ceiling', gangs: 1, volumeIn3: 20, existing: true },
    { id: 'console', name: 'Console', family: 'cut-in', gangs: 1, volumeIn3: 20 },
  ],
  runs: [
    { id: 'feed', from: 'panel', to: 'hall-switch', lengthFt: 40, existing: '14-2', circuits: ['c9'] },
    { id: 'light-run', from: 'hall-switch', to: 'hall-light', lengthFt: 14, existing: '14-2' },
    { id: 'console-run', from: 'hall-switch', to: 'console', lengthFt: 6 },
  ],
  groups: [{ id: 'hall', name: 'the hall switch' }],
  devices: [
    { id: 'switch', box: 'hall-switch', gang: 0, kind: 'switch', wants: handle('hall') },
    { id: 'light', box: 'hall-light', gang: 0, kind: 'luminaire', wants: { lamp: on('c9', 'hall', 60) } },
    {
      id: 'console-outlet',
      box: 'console',
      gang: 0,
      kind: 'duplex',
      wants: { upper: on('c9', null, 60), lower: on('c9', null) },
    },
  ],
};

const attic: JobInput = {
  id: 'attic-hatch-switch',
  name: 'Attic hatch switch',
  site: SITE,
  edition: '2020',
  circuits: [CIRCUITS.c9],
  boxes: [
    { id: 'attic-light', name: 'Attic light', family: 'ceiling', gangs: 1, volumeIn3: 20, existing: true },
    { id: 'hatch', name: 'Attic hatch', family: 'cut-in', gangs: 2, volumeIn3: 31 },
  ],
  runs: [
    { id: 'feed', from: 'panel', to: 'attic-light', lengthFt: 52, existing: '14-2', circuits: ['c9'] },
    { id: 'loop', from: 'attic-light', to: 'hatch', lengthFt: 16, existing: '14-2' },
  ],
  groups: [{ id: 'attic', name: 'the hatch switch' }],
  devices: [
    { id: 'light', box: 'attic-light', gang: 0, kind: 'luminaire', wants: { lamp: on('c9', 'attic', 75) } },
    { id: 'switch', box: 'hatch', gang: 0, kind: 'switch', wants: handle('attic') },
    {
      id: 'hatch-outlet',
      box: 'hatch',
      gang: 1,
      kind: 'duplex',
      wants: { upper: on('c9', null), lower: on('c9', null) },
    },
  ],
};

const laundry: JobInput = {
  id: 'laundry-counter',
  name: 'Laundry counter',
  site: SITE,
  edition: '2020',
  circuits: [CIRCUITS.c12],
  boxes: [
    { id: 'counter', name: 'Laundry counter', family: 'nail-on', gangs: 1, volumeIn3: 22.5 },
    { id: 'task-light', name: 'Counter light', family: 'ceiling', gangs: 1, volumeIn3: 22.5 },
  ],
  runs: [
    { id: 'feed', from: 'panel', to: 'counter', lengthFt: 31, existing: '12-2', circuits: ['c12'] },
    { id: 'light-run', from: 'counter', to: 'task-light', lengthFt: 8 },
  ],
  groups: [{ id: 'counter', name: 'the counter switch' }],
  devices: [
    {
      id: 'combo',
      box: 'counter',
      gang: 0,
      kind: 'combination-gfci',
      ratingA: 20,
      wants: { outlet: on('c12', null, 600), ...handle('counter') },
    },
    { id: 'light', box: 'task-light', gang: 0, kind: 'luminaire', wants: { lamp: on('c12', 'counter', 30) } },
  ],
};

const porch: JobInput = {
  id: 'porch-soffit',
  name: 'Porch soffit',
  site: SITE,
  edition: '2020',
  circuits: [CIRCUITS.c9],
  boxes: [
    { id: 'bench', name: 'Hall bench', family: 'cut-in', gangs: 1, volumeIn3: 20 },
    { id: 'hall-door', name: 'Hall door', family: 'cut-in', gangs: 1, volumeIn3: 20 },
    { id: 'soffit', name: 'Porch soffit', family: 'metal octagon', gangs: 1, volumeIn3: 21.5 },
  ],
  runs: [
    { id: 'feed', from: 'panel', to: 'bench', lengthFt: 44, existing: '14-2', circuits: ['c9'] },
    { id: 'door-run', from: 'bench', to: 'hall-door', lengthFt: 9 },
    { id: 'soffit-run', from: 'hall-door', to: 'soffit', lengthFt: 16 },
  ],
  groups: [{ id: 'porch', name: 'the hall door switch' }],
  devices: [
    { id: 'bench-gfci', box: 'bench', gang: 0, kind: 'gfci', wants: { outlet: on('c9', null, 60) } },
    { id: 'door-switch', box: 'hall-door', gang: 0, kind: 'switch', wants: handle('porch') },
    {
      id: 'soffit-outlet',
      box: 'soffit',
      gang: 0,
      kind: 'duplex',
      wants: {
        upper: { ...on('c9', 'porch', 120), via: 'bench-gfci' },
        lower: { ...on('c9', 'porch'), via: 'bench-gfci' },
      },
    },
  ],
};

const den: JobInput = {
  id: 'den-media-wall',
  name: 'Den media wall',
  site: SITE,
  edition: '2020',
  circuits: [CIRCUITS.c16, CIRCUITS.c18],
  boxes: [{ id: 'media', name: 'Media wall', family: 'nail-on', gangs: 1, volumeIn3: 22.5 }],
  runs: [{ id: 'home', from: 'panel', to: 'media', lengthFt: 52, circuits: ['c16', 'c18'] }],
  groups: [],
  devices: [
    {
      id: 'outlet',
      box: 'media',
      gang: 0,
      kind: 'duplex',
      wants: { upper: on('c16', null, 700), lower: on('c18', null, 400) },
    },
  ],
};

const stair: JobInput = {
  id: 'stair',
  name: 'Stair',
  site: SITE,
  edition: '2020',
  circuits: [CIRCUITS.c9],
  boxes: [
    { id: 'stair-foot', name: 'Stair foot', family: 'metal square', gangs: 2, volumeIn3: 30.3 },
    {
      id: 'stair-head',
      name: 'Stair head',
      family: 'metal device',
      gangs: 1,
      volumeIn3: 18,
      internalClamps: true,
    },
    { id: 'stair-light', name: 'Stair light', family: 'ceiling', gangs: 1, volumeIn3: 20 },
  ],
  runs: [
    { id: 'feed', from: 'panel', to: 'stair-foot', lengthFt: 28, circuits: ['c9'] },
    { id: 'up', from: 'stair-foot', to: 'stair-head', lengthFt: 24 },
    { id: 'light-run', from: 'stair-head', to: 'stair-light', lengthFt: 9 },
  ],
  brief: {
    wish: 'Both switches work the stair light; an outlet at the foot for the vacuum cleaner.',
    facts: 'Small plan of the stair, with notes.',
    lines: [
      {
        id: 'feed',
        says: 'panel to stair foot: 14-2 WG',
        about: { kind: 'cable', run: 'feed', type: '14-2' },
      },
      {
        id: 'up',
        says: 'stair foot to stair head: 14-3 WG',
        about: { kind: 'cable', run: 'up', type: '14-3' },
      },
      {
        id: 'box',
        says: 'stair foot: 4-inch square metal, 2⅛ deep',
        about: { kind: 'box', box: 'stair-foot', family: 'metal square', volumeIn3: 30.3 },
      },
      {
        id: 'order',
        says: 'stair foot, left to right: S₃, duplex',
        about: { kind: 'order', box: 'stair-foot', symbols: ['S3', 'duplex'] },
      },
      { id: 'pin', says: 'ground pins down', about: { kind: 'ground pin', pin: 'down' } },
    ],
  },
  groups: [{ id: 'stair', name: 'the stair switches' }],
  devices: [
    { id: 'foot-switch', box: 'stair-foot', gang: 0, kind: 'switch', wants: handle('stair') },
    {
      id: 'foot-outlet',
      box: 'stair-foot',
      gang: 1,
      kind: 'duplex',
      wants: { upper: on('c9', null, 60), lower: on('c9', null) },
    },
    { id: 'head-switch', box: 'stair-head', gang: 0, kind: 'switch', wants: handle('stair') },
    { id: 'light', box: 'stair-light', gang: 0, kind: 'luminaire', wants: { lamp: on('c9', 'stair', 75) } },
  ],
};

const landing: JobInput = {
  id: 'landing-three-switches',
  name: 'Landing with three switches',
  site: SITE,
  edition: '2020',
  circuits: [CIRCUITS.c7],
  boxes: [
    { id: 'bedroom', name: 'Bedroom door', family: 'nail-on', gangs: 1, volumeIn3: 22.5 },
    { id: 'middle', name: 'Landing middle', family: 'nail-on', gangs: 1, volumeIn3: 22.5 },
    { id: 'bath', name: 'Bath door', family: 'nail-on', gangs: 1, volumeIn3: 22.5 },
    { id: 'landing-light', name: 'Landing light', family: 'ceiling', gangs: 1, volumeIn3: 22.5 },
  ],
  runs: [
    { id: 'feed', from: 'panel', to: 'bedroom', lengthFt: 46, circuits: ['c7'] },
    { id: 'first', from: 'bedroom', to: 'middle', lengthFt: 12 },
    { id: 'second', from: 'middle', to: 'bath', lengthFt: 11 },
    { id: 'light-run', from: 'bath', to: 'landing-light', lengthFt: 10 },
  ],
  groups: [{ id: 'landing', name: 'the landing switches' }],
  devices: [
    { id: 'bedroom-switch', box: 'bedroom', gang: 0, kind: 'switch', wants: handle('landing') },
    { id: 'middle-switch', box: 'middle', gang: 0, kind: 'switch', wants: handle('landing') },
    { id: 'bath-switch', box: 'bath', gang: 0, kind: 'switch', wants: handle('landing') },
    {
      id: 'light',
      box: 'landing-light',
      gang: 0,
      kind: 'luminaire',
      wants: { lamp: on('c7', 'landing', 60) },
    },
  ],
};

/** The demo jobs, in the order of a walk through the house. */
export const demoJobs: readonly Job[] = [sunroom, hall, attic, laundry, porch, stair, den, landing].map(
  (input) => Job.parse(input),
);

export const demoJob = (id: string): Job | undefined => demoJobs.find((job) => job.id === id);
