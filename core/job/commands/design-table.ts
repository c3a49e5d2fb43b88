import type { Draft } from 'immer';
import { z } from 'zod';
import { WISH_KINDS, wishName } from '../../trade/devices';
import { Box, Circuit, Design, Device, Group, Habits, PANEL, Room, Run, Want } from '../model/design';
import { freshId } from '../model/fresh-id';
import { APPLIANCE_IDS } from '../../trade/standards/appliances';
import { Connector } from '../../trade/standards/connectors';
import { EDITIONS } from '../../trade/standards/source';
import { freshBox, removeBox, splitRun } from './box-changes';
import { foldCircuit, setCircuit } from './circuit-changes';
import { addDevice, freeThePair, moveDevice, moveGang, setKind, turnHalves } from './device-changes';
import { entryOn } from './entry';
import { feedFromLoad } from './load-side';
import { someOf } from './some-of';
import { SHEET_COMMANDS } from './sheet-rows';
import { dropUnused, dropVia, find } from './upkeep';
import { HOLDS_NAME, SIDE_NAME } from '../model/names';
import { say } from '../../base/words/commands';

const Id = Box.shape.id;
const Holds = z.enum(['outlet', 'switch', 'light']);
const on = entryOn<Design>();

const nameOf = ({ boxes }: Design, id: string): string => boxes.find((one) => one.id === id)?.name ?? id;
const powerWant = (
  design: Draft<Design>,
  { device, part }: { device: string; part: string },
): Draft<Extract<Want, { does: 'power' }>> | null => {
  const want = find(design.devices, device).wants[part];
  return want?.does === 'power' ? want : null;
};

/** What a user can do to the design: each with its fields, what undo calls it, and its change. */
export const DESIGN_COMMANDS = [
  // The job
  on('rename job', { name: Design.shape.name }, say('designTable.newName'), (design, { name }) => {
    design.name = name;
  }),
  on('set site', { site: Design.shape.site.unwrap() }, 'site', (design, { site }) => {
    design.site = site;
  }),
  on(
    'set edition',
    { edition: z.enum(EDITIONS) },
    ({ edition }) => say('designTable.edition', { edition }),
    (design, { edition }) => {
      design.edition = edition;
    },
  ),
  on('set habits', { habits: someOf(Habits) }, say('designTable.habitsHouse'), (design, { habits }) => {
    if (habits.switchedHalf && habits.switchedHalf !== design.habits.switchedHalf) turnHalves(design);
    Object.assign(design.habits, habits);
  }),
  on(
    'set connector',
    { connector: z.string(), change: someOf(Connector.omit({ id: true })) },
    say('designTable.connectorList'),
    (design, { connector, change }) => {
      const known = design.connectors.find(({ id }) => id === connector);
      if (known) Object.assign(known, change);
    },
  ),
  on(
    'add connector',
    { connector: Connector },
    say('designTable.connectorAdded'),
    (design, { connector }) => {
      design.connectors.push({ ...connector, id: freshId(design.connectors, connector.name) });
    },
  ),
  on(
    'remove connector',
    { connector: z.string() },
    say('designTable.connectorRemoved'),
    (design, { connector }) => {
      design.connectors = design.connectors.filter(({ id }) => id !== connector);
    },
  ),
  /** A rule set aside for this job, with the reason; null takes it up again. */
  on(
    'set amendment',
    { rule: z.string().regex(/^[A-Z]\d\d$/), reason: z.string().trim().min(3).max(300).nullable() },
    ({ rule, reason }) =>
      reason === null ? say('designTable.ruleReinstated', { rule }) : say('designTable.ruleWaived', { rule }),
    (design, { rule, reason }) => {
      const rest = design.amendments.filter((one) => one.rule !== rule);
      design.amendments = reason === null ? rest : [...rest, { rule, reason }];
    },
  ),
  /** Whether this panel may hold splices (312.8). */
  on(
    'allow panel splices',
    { allowed: z.boolean() },
    ({ allowed }) => (allowed ? say('designTable.splicesPanelAllowed') : say('designTable.noSplicesPanel')),
    (design, { allowed }) => {
      design.panelSplices = allowed;
    },
  ),

  // Circuits
  /** A new breaker in the panel, with its circuit. */
  on(
    'add circuit',
    { circuit: Circuit },
    ({ circuit }) => say('designTable.circuitAdded', { number: circuit.number }),
    (design, { circuit }) => {
      design.circuits.push(circuit);
    },
  ),
  on(
    'set circuit',
    { circuit: Id, change: someOf(Circuit.omit({ id: true })) },
    'circuit',
    (design, { circuit, change }) => setCircuit(design, circuit, change),
  ),
  /** A circuit goes; what it fed is fed by another. */
  on(
    'remove circuit',
    { circuit: Id, into: Id },
    ({ circuit }, { circuits }) =>
      say('designTable.circuitRemoved', { number: circuits.find(({ id }) => id === circuit)?.number ?? '' }),
    (design, { circuit, into }) => foldCircuit(design, circuit, into),
    ({ circuit, into }, { circuits }) =>
      circuit === into || !circuits.some(({ id }) => id === into)
        ? {
            path: 'into',
            message: say('designTable.circuitInUse'),
            wayOut: say('designTable.addCircuitFirst'),
          }
        : null,
  ),

  // Runs
  on(
    'add run',
    {
      from: Id,
      to: Id,
      lengthFt: Run.shape.lengthFt,
      circuits: z.array(Id).min(1).optional(),
    },
    ({ to }, design) => say('designTable.newRun', { name: nameOf(design, to) }),
    (design, { from, to, lengthFt, circuits }) => {
      design.runs.push(
        Run.parse({
          id: freshId(design.runs, `${from} ${to}`),
          from,
          to,
          lengthFt,
          ...(circuits ? { circuits } : {}),
        }),
      );
    },
  ),
  on(
    'set run',
    { run: Id, change: someOf(Run.omit({ id: true, circuits: true, from: true, to: true })) },
    'run',
    (design, { run, change }) => {
      Object.assign(find(design.runs, run), change);
    },
  ),
  /** Which circuits a run carries; null for whatever is needed. */
  on(
    'set run circuits',
    { run: Id, circuits: z.array(Id).min(1).nullable() },
    say('designTable.circuitsRun'),
    (design, { run, circuits }) => {
      const own = find(design.runs, run);
      if (circuits === null) delete own.circuits;
      else own.circuits = circuits;
    },
  ),
  on('remove run', { run: Id }, say('designTable.runRemoved'), (design, { run }) => {
    design.runs = design.runs.filter(({ id }) => id !== run);
  }),
  /** Power enters at another box: the run from the panel is led there. */
  on(
    'move feed',
    { run: Id, box: Id },
    ({ box }, design) => say('designTable.feed', { name: nameOf(design, box) }),
    (design, { run: id, box }) => {
      const run = find(design.runs, id);
      if (run.from === PANEL) run.to = box;
      else run.from = box;
    },
  ),
  /** One end of a run is led to another box, or to the panel with the circuits that start there. */
  on(
    'lead run',
    { run: Id, end: z.enum(['from', 'to']), box: Id, circuits: z.array(Id).min(1).optional() },
    ({ box }, design) =>
      say('designTable.runLed', { box: box === PANEL ? say('designTable.panel') : nameOf(design, box) }),
    (design, { run: id, end, box, circuits }) => {
      const run = find(design.runs, id);
      run[end] = box;
      if (circuits) run.circuits = circuits;
      else if (run.from !== PANEL && run.to !== PANEL) delete run.circuits;
    },
  ),
  /** A box in the middle of a run. */
  on(
    'split run',
    { run: Id, name: Box.shape.name },
    ({ name }) => say('designTable.boxRun', { name }),
    (design, { run, name }) => splitRun(design, run, name),
  ),

  // Boxes and rooms
  /** A new box at the end of a new run, with one thing in it. */
  on(
    'add box',
    {
      from: Id,
      name: Box.shape.name,
      holds: Holds,
      circuit: Id,
      group: Id.nullable(),
      lengthFt: Run.shape.lengthFt,
    },
    ({ name }) => say('designTable.newBox', { name }),
    (design, { from, name, lengthFt, ...what }) => {
      const id = freshId(design.boxes, name);
      design.boxes.push(freshBox(id, name, what.holds === 'light'));
      design.runs.push(
        Run.parse({
          id: freshId(design.runs, `${from} ${id}`),
          from,
          to: id,
          lengthFt,
          ...(from === PANEL ? { circuits: [what.circuit] } : {}),
        }),
      );
      addDevice(design, id, what);
    },
  ),
  on(
    'set box',
    { box: Id, change: someOf(Box.omit({ id: true })) },
    ({ box }, design) => say('designTable.box', { name: nameOf(design, box) }),
    (design, { box, change }) => {
      Object.assign(find(design.boxes, box), change);
    },
  ),
  on(
    'remove box',
    { box: Id },
    ({ box }, design) => say('designTable.removed', { name: nameOf(design, box) }),
    (design, { box }) => removeBox(design, box),
  ),
  on(
    'set room',
    { room: Room },
    ({ room }) => say('designTable.room', { room: room.name }),
    (design, { room }) => {
      const known = design.rooms.find(({ id }) => id === room.id);
      if (known) Object.assign(known, room);
      else design.rooms.push(room);
    },
  ),
  on('remove room', { room: Id }, say('designTable.roomRemoved'), (design, { room }) => {
    design.rooms = design.rooms.filter(({ id }) => id !== room);
    for (const box of design.boxes) {
      if (box.spot?.room === room) box.spot = null;
      if (box.room === room) box.room = null;
    }
  }),

  // Devices
  /** One more thing in a box that is there. */
  on(
    'add device',
    { box: Id, holds: Holds, circuit: Id, group: Id.nullable() },
    ({ holds }) => say('designTable.new', { holds: HOLDS_NAME[holds] }),
    (design, { box, ...what }) => addDevice(design, box, what),
  ),
  on(
    'set kind',
    { device: Id, kind: z.enum(WISH_KINDS) },
    ({ kind }) => say('designTable.anotherDevice', { kind: wishName(kind) }),
    (design, { device, kind }) => setKind(design, device, kind),
  ),
  on(
    'set rating',
    { device: Id, ratingA: z.union([z.literal(15), z.literal(20)]) },
    ({ ratingA }) => say('designTable.receptacle', { ratingA }),
    (design, { device, ratingA }) => {
      find(design.devices, device).ratingA = ratingA;
    },
  ),
  /** What is marked on a device, and whether it stands where one was. */
  on(
    'set device',
    {
      device: Id,
      change: someOf(Device.pick({ marks: true, color: true, replaces: true, was: true, bootleg: true })),
    },
    'device',
    (design, { device, change }) => {
      Object.assign(find(design.devices, device), change);
    },
  ),
  on(
    'move device',
    { device: Id, box: Id },
    ({ box }, design) => say('designTable.moved', { name: nameOf(design, box) }),
    (design, { device, box }) => moveDevice(design, device, box),
  ),
  on(
    'move gang',
    { device: Id, toward: z.enum(['left', 'right']) },
    ({ toward }) => say('designTable.movedToward', { toward: SIDE_NAME[toward] }),
    (design, { device, toward }) => moveGang(design, device, toward),
  ),
  on('remove device', { device: Id }, say('designTable.deviceRemoved'), (design, { device: id }) => {
    const device = find(design.devices, id);
    design.devices = design.devices.filter((one) => one !== device);
    dropVia(design, id);
    dropUnused(design);
  }),
  /** A radio switch and its receiver in place of a wired switch. */
  on('free the pair', { device: Id }, say('designTable.radioSwitch'), (design, { device }) =>
    freeThePair(design, device),
  ),

  // What they do
  /** Always on, or switched by a group. */
  on(
    'set control',
    { device: Id, part: z.string(), control: Id.nullable() },
    ({ control }) => (control === null ? 'always on' : 'switched'),
    (design, { control, ...at }) => {
      const want = powerWant(design, at);
      if (want) want.control = control;
    },
  ),
  on(
    'set load',
    { device: Id, part: z.string(), watts: z.number().min(0).max(7200), continuous: z.boolean() },
    'load',
    (design, { watts, continuous, ...at }) => {
      const want = powerWant(design, at);
      if (want) Object.assign(want, { watts, continuous });
    },
  ),
  /** Which circuit feeds a part, or which LOAD side. */
  on(
    'set want',
    {
      device: Id,
      part: z.string(),
      change: z.strictObject({ circuit: Id, via: Id.nullable(), control: Id.nullable() }).partial(),
    },
    say('designTable.feedPart'),
    (design, { change, ...at }) => {
      const want = powerWant(design, at);
      if (want) Object.assign(want, change);
    },
  ),
  /** All that lies beyond a protecting device is fed from its LOAD side, or from its LINE side. */
  on(
    'feed beyond',
    { device: Id, from: z.enum(['LOAD', 'LINE']) },
    ({ from }) => say('designTable.everythingAfter', { from }),
    (design, { device, from }) => feedFromLoad(design, device, from),
  ),
  /** What is in use on a part: which appliance, fastened in place, a motor. */
  on(
    'set use',
    {
      device: Id,
      part: z.string(),
      change: z
        .strictObject({ fixed: z.boolean(), motor: z.boolean(), appliance: z.enum(APPLIANCE_IDS).nullable() })
        .partial(),
    },
    say('designTable.whatUse'),
    (design, { change: { appliance, ...change }, ...at }) => {
      const want = powerWant(design, at);
      if (!want) return;
      Object.assign(want, change);
      if (appliance === null) delete want.appliance;
      else if (appliance !== undefined) want.appliance = appliance;
    },
  ),
  /** Which control group a handle belongs to. */
  on(
    'set group',
    { device: Id, part: z.string(), group: Id },
    say('designTable.whatSwitchControls'),
    (design, { device, part, group }) => {
      const want = find(design.devices, device).wants[part];
      if (want?.does === 'control') want.group = group;
      dropUnused(design);
    },
  ),
  on(
    'rename group',
    { group: Id, name: Group.shape.name },
    say('designTable.nameWhatSwitchControls'),
    (design, { group, name }) => {
      find(design.groups, group).name = name;
    },
  ),
  /** A further switch with a group of its own, for parts that are there. */
  on(
    'add switch',
    {
      box: Id,
      group: z.strictObject({ id: Id, name: Box.shape.name }),
      controls: z
        .array(z.strictObject({ device: Id, part: z.string() }))
        .min(1)
        .max(40),
    },
    ({ box }, design) => say('designTable.newSwitch', { name: nameOf(design, box) }),
    (design, { box, group, controls }) => {
      design.groups.push({ ...group });
      for (const at of controls) {
        const want = powerWant(design, at);
        if (want) want.control = group.id;
      }
      addDevice(design, box, { holds: 'switch', circuit: '', group: group.id });
    },
    ({ controls }, { devices }) => {
      const gone = controls.find(({ device }) => !devices.some(({ id }) => id === device));
      return gone
        ? {
            path: 'controls',
            message: say('designTable.noDevice', { id: gone.device }),
            wayOut: say('command.reloadJob'),
          }
        : null;
    },
  ),

  ...SHEET_COMMANDS,

  /** A layout in place of the one before: what was found in the wall. */
  on(
    'take layout',
    {
      layout: Design.pick({
        circuits: true,
        groups: true,
        boxes: true,
        runs: true,
        devices: true,
        rooms: true,
      }),
    },
    say('designTable.layOutFound'),
    (design, { layout }) => {
      Object.assign(design, layout);
    },
  ),
] as const;
