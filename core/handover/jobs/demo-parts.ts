import type { z } from 'zod';
import type { Design } from '../../job/model/design';
import type { JobRecord } from '../../job/model/record';

/* What the jobs of the invented house share. */

/** A job as a file may have it, defaults left out; what was asked and found stands beside its design. */
export type JobInput = z.input<typeof Design> & Pick<z.input<typeof JobRecord>, 'brief' | 'surveys'>;

export const SITE = 'Alder Court 12';

export const CIRCUITS = {
  c7: { id: 'c7', number: '7', breakerA: 15, leg: 'A', existingLoadVA: 420 },
  c9: { id: 'c9', number: '9', breakerA: 15, leg: 'A', existingLoadVA: 360, protection: 'afci' },
  c12: {
    id: 'c12',
    number: '12',
    breakerA: 20,
    leg: 'B',
    existingLoadVA: 300,
    serves: 'laundry',
    protection: 'afci',
  },
  c14: { id: 'c14', number: '14', breakerA: 20, leg: 'B', existingLoadVA: 540, protection: 'afci' },
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

export const on = (circuit: string, control: string | null, watts?: number, continuous?: boolean) => ({
  does: 'power' as const,
  circuit,
  control,
  ...(watts === undefined ? {} : { watts }),
  ...(continuous === undefined ? {} : { continuous }),
});
export const handle = (group: string) => ({ handle: { does: 'control' as const, group } });
