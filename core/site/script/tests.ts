import { powerParts, deviceKind } from '../../trade/devices';
import { isPlug } from '../../job/model/called';
import { PANEL } from '../../job/model/design';
import { boxGroundId, panelHotId, PANEL_GROUND, partKey, terminalId } from '../../job/model/wiring';
import { isMetal } from '../../trade/standards/boxes';
import type { Wired } from '../../power/faults';
import { priced, type FieldTest, type Instrument, type Probe, type Reach } from './field-test';
import type { Stimulus } from './stimuli';

/** Boxes in the order in which they are walked: the panel, then along the runs. */
export function walkingOrder({ job, wiring }: Wired): readonly string[] {
  const order = [PANEL];
  for (const box of order)
    for (const { from, to } of wiring.cables) {
      const next = from === box ? to : to === box ? from : null;
      if (next !== null && !order.includes(next)) order.push(next);
    }
  return [...order, ...job.boxes.map(({ id }) => id).filter((id) => !order.includes(id))];
}

/** Every instrument at every place in every state: the naive script. */
export function testsOf(wired: Wired, stimuli: readonly Stimulus[]): readonly FieldTest[] {
  const { job, wiring } = wired;
  const tests: FieldTest[] = [];
  const [rest] = stimuli;
  if (!rest) return [];
  // The plug of a cord is pulled: its pins are at hand, and neutral and ground do not meet behind them.
  const plugged = isPlug(job);
  const home: Reach = plugged ? 'outside' : 'panel';
  const add = (
    reach: Reach,
    instrument: Instrument,
    box: string,
    stimulus: Stimulus,
    probe: Probe,
    where: string,
  ) => {
    const test = {
      id: `${instrument} ${where} ${stimulus.key}`,
      box,
      instrument,
      probe,
      stimulus,
      live: instrument !== 'ohms',
      reach,
    };
    tests.push({ ...test, ...priced(test) });
  };
  for (const stimulus of stimuli) {
    if (stimulus.is === 'buttons' || stimulus.is === 'breaker off') continue;
    add('outside', 'a look at the breaker', PANEL, stimulus, { read: 'trips' }, PANEL);
  }
  for (const { id, multiwireWith } of job.circuits)
    if (multiwireWith !== null && id < multiwireWith)
      add(
        'panel',
        'meter',
        PANEL,
        rest,
        { read: 'volts', from: panelHotId(id), to: panelHotId(multiwireWith) },
        `${id}+${multiwireWith}`,
      );
  const metal = new Set(job.boxes.filter(({ family }) => isMetal(family)).map(({ id }) => id));
  for (const box of metal)
    if (wiring.tails.some(({ to }) => to === boxGroundId(box)))
      add(
        home,
        'ohms',
        box,
        rest,
        { read: 'joined', from: boxGroundId(box), to: PANEL_GROUND, lifted: plugged },
        `${box} metal`,
      );
  for (const device of wiring.devices) {
    const kind = deviceKind(device.kind);
    const { box, id } = device;
    const at = (terminal: string) => terminalId(id, terminal);
    if (kind.terminals.some((terminal) => terminal.id === 'ground')) {
      // The bond of a metal box is proved beside it, from its metal to the green screw of what it holds.
      if (metal.has(box))
        add(
          'screws',
          'ohms',
          box,
          rest,
          { read: 'joined', from: boxGroundId(box), to: at('ground'), lifted: plugged },
          `${id} box`,
        );
      add(
        home,
        'ohms',
        box,
        rest,
        { read: 'joined', from: at('ground'), to: PANEL_GROUND, lifted: plugged },
        `${id} ground`,
      );
      for (const stimulus of stimuli)
        if (stimulus.is === 'handles')
          add('screws', 'non-contact', box, stimulus, { read: 'glow', at: at('ground') }, `${id} ground`);
    }
    if (kind.protection) add('outside', 'button', box, rest, { read: 'opens', device: id }, id);
    for (const part of powerParts(kind)) {
      const key = partKey(id, part.id);
      const [hot, neutral] = [part.face?.hot ?? part.hot, part.face?.neutral ?? part.neutral];
      for (const [name, from] of [
        ['neutral', neutral],
        ['hot', hot],
      ] as const)
        add(
          plugged ? 'screws' : 'panel',
          'ohms',
          box,
          rest,
          { read: 'joined', from: at(from), to: at(part.ground), lifted: true },
          `${key} ${name}`,
        );
      // In the slots of a receptacle neutral and ground meet by way of the panel: a broken one of them is open.
      if (part.plug && !plugged)
        add(
          'outside',
          'ohms',
          box,
          rest,
          { read: 'joined', from: at(neutral), to: at(part.ground), lifted: false, slots: key },
          `${key} bond`,
        );
      const slots: Reach = part.plug ? 'outside' : 'screws';
      for (const stimulus of stimuli) {
        if (stimulus.is === 'load') {
          if (stimulus.loads.has(key))
            add(
              slots,
              'meter',
              box,
              stimulus,
              { read: 'volts', from: at(hot), to: at(neutral), slots: key },
              key,
            );
          continue;
        }
        if (part.plug) {
          add(slots, 'tester', box, stimulus, { read: 'lights', part: key }, key);
          add(
            slots,
            'meter',
            box,
            stimulus,
            { read: 'volts', from: at(hot), to: at(neutral), slots: key },
            key,
          );
        } else {
          if (stimulus.is === 'handles')
            add('outside', 'light', box, stimulus, { read: 'lit', part: key }, key);
          add(slots, 'meter', box, stimulus, { read: 'volts', from: at(hot), to: null }, `${key} hot`);
          add(
            slots,
            'meter',
            box,
            stimulus,
            { read: 'volts', from: at(neutral), to: null },
            `${key} neutral`,
          );
        }
      }
    }
  }
  // Lamps that burn are a load as well: all handles one way, and the other.
  const handled = stimuli.filter(({ is, state }) => is === 'handles' && state.loads.size > 0);
  const ends = new Set([handled[0], handled.at(-1)]);
  for (const stimulus of stimuli)
    if (stimulus.is === 'load' || ends.has(stimulus))
      for (const cable of wiring.cables)
        add(
          'screws',
          'clamp',
          cable.to === PANEL ? cable.from : cable.to,
          stimulus,
          { read: 'net amps', cable: cable.id },
          cable.id,
        );
  for (const { box, end } of wiring.caps)
    add('screws', 'meter', box, rest, { read: 'volts', from: end, to: null }, end);
  return tests;
}
