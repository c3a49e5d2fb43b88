import { CIRCUITS, SITE, on, handle, type JobInput } from './demo-parts';
import { sizeOf, STAIR_SHEET } from './demo-photo';
import { ATTIC_FOUND, HALL_FOUND } from './demo-found';
import { say } from '../../base/words/demo';

/* Halls and stairs of the invented house. */

export const hall: JobInput = {
  id: 'hall-console',
  name: 'Hall console',
  site: SITE,
  edition: '2020',
  circuits: [CIRCUITS.c9],
  boxes: [
    {
      id: 'hall-switch',
      name: 'Hall switch',
      family: 'cut-in',
      gangs: 1,
      volumeIn3: 20,
      existing: true,
      room: 'hall',
    },
    {
      id: 'hall-light',
      name: 'Hall light',
      family: 'ceiling',
      gangs: 1,
      volumeIn3: 20,
      existing: true,
      room: 'hall',
    },
    { id: 'console', name: 'Console', family: 'cut-in', gangs: 1, volumeIn3: 20, room: 'hall' },
  ],
  runs: [
    { id: 'feed', from: 'panel', to: 'hall-switch', lengthFt: 40, existing: '14-2', circuits: ['c9'] },
    { id: 'light-run', from: 'hall-switch', to: 'hall-light', lengthFt: 14, existing: '14-2' },
    { id: 'console-run', from: 'hall-switch', to: 'console', lengthFt: 6 },
  ],
  rooms: [{ id: 'hall', name: 'Hall', kind: 'hallway', wallsFt: [14, 5, 14, 5] }],
  groups: [{ id: 'hall', name: say('group.hall') }],
  devices: [
    { id: 'switch', box: 'hall-switch', gang: 0, kind: 'switch', wants: handle('hall'), was: true },
    {
      id: 'light',
      box: 'hall-light',
      gang: 0,
      kind: 'luminaire',
      wants: { lamp: on('c9', 'hall', 60) },
      was: true,
    },
    {
      id: 'console-outlet',
      box: 'console',
      gang: 0,
      kind: 'duplex',
      wants: { upper: on('c9', null, 60), lower: on('c9', null) },
    },
  ],
  surveys: [HALL_FOUND],
};

export const attic: JobInput = {
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
  groups: [{ id: 'attic', name: say('group.attic') }],
  devices: [
    {
      id: 'light',
      box: 'attic-light',
      gang: 0,
      kind: 'luminaire',
      wants: { lamp: on('c9', 'attic', 75) },
      was: true,
    },
    { id: 'switch', box: 'hatch', gang: 0, kind: 'switch', wants: handle('attic'), was: true },
    {
      id: 'hatch-outlet',
      box: 'hatch',
      gang: 1,
      kind: 'duplex',
      wants: { upper: on('c9', null), lower: on('c9', null) },
    },
  ],
  surveys: [ATTIC_FOUND],
};

export const stair: JobInput = {
  id: 'stair',
  name: 'Stair',
  site: SITE,
  edition: '2020',
  circuits: [CIRCUITS.c9],
  boxes: [
    {
      id: 'stair-foot',
      name: 'Stair foot',
      family: 'metal square',
      gangs: 2,
      volumeIn3: 30.3,
      spot: { room: 'stair', wall: 0, alongFt: 1.7 },
    },
    {
      id: 'stair-head',
      name: 'Stair head',
      family: 'metal device',
      gangs: 1,
      volumeIn3: 18,
      internalClamps: true,
      spot: { room: 'stair', wall: 0, alongFt: 11.2 },
    },
    {
      id: 'stair-light',
      name: 'Stair light',
      family: 'ceiling',
      gangs: 1,
      volumeIn3: 20,
      room: 'stair',
      at: { sheet: 'e-1', xFt: 25, yFt: 10.5 },
    },
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
        pin: { sheet: 'e-1', x: 352, y: 468 },
      },
      {
        id: 'up',
        says: 'stair foot to stair head: 14-3 WG',
        about: { kind: 'cable', run: 'up', type: '14-3' },
        pin: { sheet: 'e-1', x: 732, y: 247 },
      },
      {
        id: 'box',
        says: 'stair foot: 4-inch square metal, 2⅛ deep',
        about: { kind: 'box', box: 'stair-foot', family: 'metal square', volumeIn3: 30.3 },
        pin: { sheet: 'e-1', x: 128, y: 148 },
      },
      {
        id: 'order',
        says: 'stair foot, left to right: S₃, duplex',
        about: { kind: 'order', box: 'stair-foot', symbols: ['S3', 'duplex'] },
        pin: { sheet: 'e-1', x: 596, y: 244 },
      },
      {
        id: 'pin',
        says: 'ground pins down',
        about: { kind: 'ground pin', pin: 'down' },
        pin: { sheet: 'e-1', x: 530, y: 640 },
      },
    ],
  },
  rooms: [
    {
      id: 'stair',
      name: 'Stair',
      kind: 'stairway',
      wallsFt: [12, 3, 12, 3],
      risers: 14,
      turnsDeg: [90, 90, 90, 90],
      plan: { sheet: 'e-1', xFt: 16, yFt: 9, headingDeg: 0 },
      openings: [
        { id: 'foot', kind: 'opening', wall: 3, fromFt: 0.15, toFt: 2.65 },
        { id: 'head', kind: 'opening', wall: 1, fromFt: 0.2, toFt: 2.7 },
      ],
    },
  ],
  sheets: [
    {
      id: 'e-1',
      name: 'E-1, stair',
      picture: { id: 'alder-court-stair-sheet', type: 'image/png', bytes: sizeOf(STAIR_SHEET) },
      widthPx: 1080,
      heightPx: 720,
      scale: { by: 'length', from: { x: 480, y: 186 }, to: { x: 840, y: 186 }, lengthFt: 12 },
      check: { from: { x: 900, y: 270 }, to: { x: 900, y: 360 }, lengthFt: 3 },
    },
  ],
  panelAt: { sheet: 'e-1', xFt: 4.25, yFt: 15 },
  groups: [{ id: 'stair', name: say('group.stair') }],
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

export const landing: JobInput = {
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
  groups: [{ id: 'landing', name: say('group.landing') }],
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
