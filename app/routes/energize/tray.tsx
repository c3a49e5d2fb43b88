import { Hand, Lamp, Radio, Gauge, PlugZap, Flame } from 'lucide-react';
import type { PlugInId } from '@core/standards/loads';

interface ToolRow {
  readonly name: string;
  readonly icon: typeof Hand;
  /** What it puts into an outlet half; tools that touch points plug nothing. */
  readonly plugs: PlugInId | 'tester' | null;
  readonly hint: string;
}

export const TOOLS = {
  hand: {
    name: 'Hand',
    icon: Hand,
    plugs: null,
    hint: 'Flick switches and breakers. Tap an outlet half to empty it.',
  },
  lamp: {
    name: 'Lamp',
    icon: Lamp,
    plugs: 'lamp',
    hint: 'Tap an outlet half to plug in a 60 W lamp; tap again to take it out.',
  },
  heater: {
    name: 'Heater',
    icon: Flame,
    plugs: 'heater',
    hint: 'Tap an outlet half to plug in a 1500 W heater.',
  },
  tester: {
    name: 'Tester',
    icon: PlugZap,
    plugs: 'tester',
    hint: 'Tap an outlet half to plug in the tester.',
  },
  meter: {
    name: 'Meter',
    icon: Gauge,
    plugs: null,
    hint: 'Touch two screws, splices or caps. High impedance.',
  },
  'low meter': {
    name: 'Low-Z',
    icon: Gauge,
    plugs: null,
    hint: 'Low impedance: loads a floating conductor down. Hot to neutral only, until the ground is verified.',
  },
  'non-contact': { name: 'Non-contact', icon: Radio, plugs: null, hint: 'Touch a screw, splice or cap.' },
} as const satisfies Record<string, ToolRow>;
export type Tool = keyof typeof TOOLS;

/** What is in the hand: one at a time. */
export function Tray({ tool, onChoose }: { tool: Tool; onChoose: (tool: Tool) => void }) {
  return (
    <div>
      <div role="toolbar" aria-label="In the hand" className="flex flex-wrap gap-1">
        {(Object.keys(TOOLS) as Tool[]).map((id) => {
          const { name, icon: Icon } = TOOLS[id];
          return (
            <button
              key={id}
              type="button"
              aria-pressed={tool === id}
              onClick={() => onChoose(id)}
              className="flex min-h-11 items-center gap-1 rounded-lg border-2 border-line bg-sand px-2 text-sm font-semibold aria-pressed:border-plum aria-pressed:bg-plum-tint"
            >
              <Icon aria-hidden size={18} /> {name}
            </button>
          );
        })}
      </div>
      <p className="mt-1 text-sm text-ink-soft">{TOOLS[tool].hint}</p>
    </div>
  );
}
