import { CIRCUITS, SITE, on, handle, type JobInput } from './demo-parts';
import { say } from '../../base/words/demo';

/* Rooms of the invented house. */

export const sunroom: JobInput = {
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
  rooms: [
    {
      id: 'sunroom',
      name: 'Sunroom',
      kind: 'sunroom',
      ceilingFt: 8,
      wallsFt: [14, 11, 14, 11],
      spacing: 'leave',
    },
  ],
  groups: [{ id: 'shelf', name: say('group.shelf') }],
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

export const laundry: JobInput = {
  id: 'laundry-counter',
  name: 'Laundry counter',
  site: SITE,
  edition: '2020',
  circuits: [CIRCUITS.c12],
  boxes: [
    {
      id: 'counter',
      name: 'Laundry counter',
      family: 'nail-on',
      gangs: 1,
      volumeIn3: 22.5,
      room: 'laundry',
      counter: true,
    },
    { id: 'shelf', name: 'Folding shelf', family: 'nail-on', gangs: 1, volumeIn3: 22.5, room: 'laundry' },
  ],
  runs: [
    { id: 'feed', from: 'panel', to: 'counter', lengthFt: 31, existing: '12-2', circuits: ['c12'] },
    { id: 'shelf-run', from: 'counter', to: 'shelf', lengthFt: 8 },
  ],
  rooms: [{ id: 'laundry', name: 'Laundry', kind: 'laundry', wallsFt: [8, 6, 8, 6] }],
  groups: [{ id: 'counter', name: say('group.counter') }],
  devices: [
    {
      id: 'combo',
      box: 'counter',
      gang: 0,
      kind: 'combination-gfci',
      ratingA: 20,
      wants: { outlet: on('c12', null, 600), ...handle('counter') },
    },
    {
      id: 'shelf-outlet',
      box: 'shelf',
      gang: 0,
      kind: 'duplex',
      wants: {
        upper: { ...on('c12', null), via: 'combo' },
        lower: { ...on('c12', 'counter', 30), via: 'combo' },
      },
    },
  ],
};

export const porch: JobInput = {
  id: 'porch-soffit',
  name: 'Porch soffit',
  site: SITE,
  edition: '2020',
  circuits: [CIRCUITS.c9],
  boxes: [
    { id: 'bench', name: 'Hall bench', family: 'cut-in', gangs: 1, volumeIn3: 20, room: 'hall' },
    { id: 'hall-door', name: 'Hall door', family: 'cut-in', gangs: 1, volumeIn3: 20, room: 'hall' },
    {
      id: 'soffit',
      name: 'Porch soffit',
      family: 'metal octagon',
      gangs: 1,
      volumeIn3: 21.5,
      room: 'porch',
      exposure: 'damp',
    },
  ],
  runs: [
    { id: 'feed', from: 'panel', to: 'bench', lengthFt: 44, existing: '14-2', circuits: ['c9'] },
    { id: 'door-run', from: 'bench', to: 'hall-door', lengthFt: 9 },
    { id: 'soffit-run', from: 'hall-door', to: 'soffit', lengthFt: 16 },
  ],
  rooms: [
    { id: 'hall', name: 'Hall', kind: 'hallway', wallsFt: [14, 5, 14, 5] },
    { id: 'porch', name: 'Porch', kind: 'outdoors', wallsFt: [12] },
  ],
  groups: [{ id: 'porch', name: say('group.porch') }],
  devices: [
    { id: 'bench-gfci', box: 'bench', gang: 0, kind: 'gfci', wants: { outlet: on('c9', null, 60) } },
    { id: 'door-switch', box: 'hall-door', gang: 0, kind: 'switch', wants: handle('porch') },
    {
      id: 'soffit-outlet',
      box: 'soffit',
      marks: ['tamper-resistant', 'weather-resistant', 'damp cover'],
      gang: 0,
      kind: 'duplex',
      wants: {
        upper: { ...on('c9', 'porch', 120), via: 'bench-gfci' },
        lower: { ...on('c9', 'porch'), via: 'bench-gfci' },
      },
    },
  ],
};

export const den: JobInput = {
  id: 'den-media-wall',
  name: 'Den media wall',
  site: SITE,
  edition: '2020',
  circuits: [CIRCUITS.c16, CIRCUITS.c18],
  boxes: [{ id: 'media', name: 'Media wall', family: 'nail-on', gangs: 1, volumeIn3: 22.5, room: 'den' }],
  runs: [{ id: 'home', from: 'panel', to: 'media', lengthFt: 52, circuits: ['c16', 'c18'] }],
  rooms: [{ id: 'den', name: 'Den', kind: 'den', wallsFt: [12, 12, 12, 12], spacing: 'leave' }],
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
