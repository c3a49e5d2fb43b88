import type { z } from 'zod';
import type { SeenEnd, Survey } from '../../job/model/survey';

/* What is seen in two opened boxes of the demo house, before anything was measured. */

type SurveyInput = z.input<typeof Survey>;
type EndInput = z.input<typeof SeenEnd>;

const end = (cable: string, insulation: EndInput['insulation'], sits: EndInput['sits']): EndInput => ({
  cable,
  insulation,
  sits,
});
const screw = (device: string, terminal: string) => ({ at: 'terminal' as const, device, terminal });
const splice = (name: string) => ({ at: 'splice' as const, splice: name });

/** Feed at the switch: two cables, whites spliced at the back, a black on each screw. */
export const HALL_FOUND: SurveyInput = {
  id: 'hall',
  name: 'Hall switch',
  breaker: '9',
  boxes: [
    {
      id: 'hall-found',
      name: 'Hall switch',
      cables: [
        { id: 'lower', type: '14-2', enters: 'below' },
        { id: 'upper', type: '14-2', enters: 'above' },
      ],
      devices: [{ id: 'hall-handle', kind: 'single-pole' }],
      ends: [
        end('lower', 'black', screw('hall-handle', 'lower')),
        end('lower', 'white', splice('whites')),
        end('lower', 'bare', splice('grounds')),
        end('upper', 'black', screw('hall-handle', 'upper')),
        end('upper', 'white', splice('whites')),
        end('upper', 'bare', splice('grounds')),
      ],
      tails: [{ splice: 'grounds', device: 'hall-handle', terminal: 'ground' }],
    },
  ],
  target: 'hall-found',
};

/** Switch loop: one cable, both insulated conductors on the switch, no tape. */
export const ATTIC_FOUND: SurveyInput = {
  id: 'hatch',
  name: 'Attic hatch',
  breaker: '9',
  boxes: [
    {
      id: 'hatch-found',
      name: 'Attic hatch',
      cables: [{ id: 'loop', type: '14-2', enters: 'above' }],
      devices: [{ id: 'hatch-handle', kind: 'single-pole' }],
      ends: [
        end('loop', 'black', screw('hatch-handle', 'upper')),
        end('loop', 'white', screw('hatch-handle', 'lower')),
        end('loop', 'bare', splice('grounds')),
      ],
      tails: [{ splice: 'grounds', device: 'hatch-handle', terminal: 'ground' }],
    },
  ],
  target: 'hatch-found',
};
