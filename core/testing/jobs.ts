import { Design } from '../job/model/design';
import type { z } from 'zod';

type JobInput = z.input<typeof Design>;
type BoxInput = JobInput['boxes'][number];

/** Shorthand for tests: a job from a few words. Panel run is `feed`; circuit is `c`, 20 A unless said. */
export interface Sketch {
  readonly breakerA?: 15 | 20;
  readonly edition?: '2017' | '2020' | '2023';
  readonly habits?: JobInput['habits'];
  readonly boxes: readonly string[] | readonly (Partial<BoxInput> & { id: string })[];
  /** `panel-switch:40`, `switch-outlet:18`, with `=12-2` for an existing cable. */
  readonly runs: readonly string[];
  readonly devices: JobInput['devices'];
  readonly groups?: readonly string[];
}

export function sketch(words: Sketch): Design {
  return Design.parse({
    id: 'test-job',
    name: 'Test job',
    edition: words.edition ?? '2020',
    circuits: [{ id: 'c', number: '14', breakerA: words.breakerA ?? 20, leg: 'A' }],
    boxes: words.boxes.map((box) => ({
      family: 'nail-on' as const,
      gangs: 4,
      volumeIn3: 22.5,
      ...(typeof box === 'string' ? { id: box, name: box } : { name: box.id, ...box }),
    })),
    runs: words.runs.map((text) => {
      const [way = '', rest = '20'] = text.split(':');
      const [from = '', to = ''] = way.split('-');
      const [lengthFt, existing] = rest.split('=');
      return {
        id: way,
        from,
        to,
        lengthFt: Number(lengthFt),
        existing: existing ?? null,
        ...(from === 'panel' ? { circuits: ['c'] } : {}),
      };
    }),
    devices: words.devices,
    groups: (words.groups ?? []).map((id) => ({ id, name: id })),
    habits: words.habits ?? {},
  });
}

const power = (control: string | null) => ({ does: 'power', circuit: 'c', control }) as const;

export const duplexIn = (box: string, upper: string | null, lower: string | null, gang = 0) => ({
  id: `${box}-outlet`,
  box,
  gang,
  kind: 'duplex' as const,
  wants: { upper: power(upper), lower: power(lower) },
});
export const switchIn = (box: string, group: string, gang = 0) => ({
  id: `${box}-${group}-switch`,
  box,
  gang,
  kind: 'switch' as const,
  wants: { handle: { does: 'control', group } as const },
});
export const lightIn = (box: string, control: string | null) => ({
  id: `${box}-light`,
  box,
  gang: 0,
  kind: 'luminaire' as const,
  wants: { lamp: power(control) },
});
