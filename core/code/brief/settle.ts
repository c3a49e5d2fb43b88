import { applyCommands, type DesignCommand } from '../../job/commands/command';
import type { Design } from '../../job/model/design';
import type { PlanLine } from '../../job/model/record';
import { SIDE_NAME } from '../../job/model/names';
import { BOXES } from '../../trade/standards/boxes';
import type { ShownOutcome } from '../../wiring/plan';
import { say } from '../../base/words/brief';
import { boxesOf } from './check-lines';
import { symbolsOf, symbolText } from './symbols';

/** A way to make the work as the plan has it. */
export interface Settling {
  readonly says: string;
  readonly commands: readonly DesignCommand[];
}

/**
 * How a line of the plan that is not met is met with one tap: null where that needs a decision, such as another cable or another
 * device, or where nothing asks for it.
 */
export function settle(job: Design, outcome: ShownOutcome, { about }: PlanLine): Settling | null {
  switch (about.kind) {
    case 'ground pin':
      return job.habits.groundPin === about.pin
        ? null
        : {
            says: say('settle.pins', { pin: SIDE_NAME[about.pin] }),
            commands: [{ do: 'set habits', habits: { groundPin: about.pin } }],
          };
    case 'height': {
      const { heightIn } = about;
      const box = job.boxes.find(({ id }) => id === about.box);
      return box && box.heightIn !== heightIn
        ? {
            says: say('settle.height', { name: box.name, heightIn }),
            commands: [{ do: 'set box', box: box.id, change: { heightIn } }],
          }
        : null;
    }
    case 'all heights': {
      const { heightIn } = about;
      const boxes = boxesOf(job, about.of).filter((box) => box.heightIn !== heightIn);
      return boxes.length > 0
        ? {
            says: say('settle.heights', { count: boxes.length, heightIn }),
            commands: boxes.map(({ id }) => ({ do: 'set box', box: id, change: { heightIn } })),
          }
        : null;
    }
    case 'box': {
      const box = job.boxes.find(({ id }) => id === about.box);
      const row = BOXES.filter(
        ({ family, gangs, volumeIn3 }) =>
          family === about.family && gangs === box?.gangs && volumeIn3 >= (about.volumeIn3 ?? 0),
      ).toSorted((a, b) => a.volumeIn3 - b.volumeIn3)[0];
      // A ring is put on where it is measured.
      if (!box || !row || (box.family === row.family && box.volumeIn3 >= row.volumeIn3)) return null;
      const { family, volumeIn3, internalClamps } = row;
      return {
        says: say('settle.box', { name: box.name, row: row.name }),
        commands: [{ do: 'set box', box: box.id, change: { family, volumeIn3, internalClamps } }],
      };
    }
    case 'order':
      return inOrder(job, outcome, about);
    case 'cable':
    case 'note':
      return null;
  }
}

/** The same devices in the order of the plan; null where they are others. */
function inOrder(
  job: Design,
  outcome: ShownOutcome,
  { box, symbols }: Extract<PlanLine['about'], { kind: 'order' }>,
): Settling | null {
  const asked = symbols.join();
  const seen = new Set<string>();
  // Neighbors change places until the order is the asked one; in a box of four that is at most six times.
  let tried: { readonly job: Design; readonly commands: readonly DesignCommand[] }[] = [
    { job, commands: [] },
  ];
  while (tried.length > 0) {
    const next: typeof tried = [];
    for (const { job: now, commands } of tried) {
      const own = now.devices.filter((device) => device.box === box).toSorted((a, b) => a.gang - b.gang);
      const order = own.map(({ id }) => id).join();
      if (seen.has(order)) continue;
      seen.add(order);
      if (symbolsOf(now, outcome, box).join() === asked)
        return commands.length === 0
          ? null
          : { says: say('settle.order', { symbols: symbols.map(symbolText).join(', ') }), commands };
      for (const { id } of own) {
        const more = [...commands, { do: 'move gang' as const, device: id, toward: 'right' as const }];
        const done = applyCommands(job, more);
        if (done.ok) next.push({ job: done.value.job, commands: more });
      }
    }
    tried = next;
  }
  return null;
}
