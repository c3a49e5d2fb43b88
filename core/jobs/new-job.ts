import { z } from 'zod';
import { Design } from '../model/design';

/** What a new job asks for: an outlet and its switch, and where power comes in. */
export const NewJob = z.strictObject({
  name: Design.shape.name,
  feedAt: z.enum(['switch', 'outlet']),
  upper: z.enum(['always on', 'switched']),
  lower: z.enum(['always on', 'switched']),
  breakerA: z.union([z.literal(15), z.literal(20)]),
  circuit: z.string().trim().min(1).max(12),
  runFt: z.number().positive().max(1000),
});
export type NewJob = z.infer<typeof NewJob>;

/** A fresh job of one outlet and one switch. */
export function newJob(id: string, ask: NewJob): Design {
  const want = (half: 'always on' | 'switched') => ({
    does: 'power' as const,
    circuit: 'circuit',
    control: half === 'switched' ? 'switch' : null,
  });
  const gauge = ask.breakerA === 20 ? '12-2' : '14-2';
  return Design.parse({
    id,
    name: ask.name,
    edition: '2020',
    circuits: [{ id: 'circuit', number: ask.circuit, breakerA: ask.breakerA, leg: 'A' }],
    boxes: [
      { id: 'switch-box', name: 'Switch', family: 'nail-on', gangs: 1, volumeIn3: 20.3 },
      { id: 'outlet-box', name: 'Outlet', family: 'nail-on', gangs: 1, volumeIn3: 20.3 },
    ],
    runs: [
      {
        id: 'feed',
        from: 'panel',
        to: ask.feedAt === 'switch' ? 'switch-box' : 'outlet-box',
        lengthFt: 30,
        existing: gauge,
        circuits: ['circuit'],
      },
      { id: 'run', from: 'switch-box', to: 'outlet-box', lengthFt: ask.runFt },
    ],
    groups: [{ id: 'switch', name: 'the switch' }],
    devices: [
      {
        id: 'wall-switch',
        box: 'switch-box',
        gang: 0,
        kind: 'switch',
        wants: { handle: { does: 'control', group: 'switch' } },
      },
      {
        id: 'outlet',
        box: 'outlet-box',
        gang: 0,
        kind: 'duplex',
        wants: { upper: want(ask.upper), lower: want(ask.lower) },
      },
    ],
  });
}
