import { Hand, Lamp, Radio, Gauge, PlugZap, Flame } from 'lucide-react';
import type { PlugInId } from '@core/standards/loads';
import { say } from '~/words/energize';

interface ToolRow {
  readonly name: string;
  readonly icon: typeof Hand;
  /** What it puts into an outlet half; tools that touch points plug nothing. */
  readonly plugs: PlugInId | 'tester' | null;
  readonly hint: string;
}

export const TOOLS = {
  hand: {
    name: say('tray.hand'),
    icon: Hand,
    plugs: null,
    hint: say('tray.flickSwitchesBreakersTapOutlet'),
  },
  lamp: {
    name: say('tray.lamp'),
    icon: Lamp,
    plugs: 'lamp',
    hint: say('tray.tapOutletHalfPlug60'),
  },
  heater: {
    name: say('tray.heater'),
    icon: Flame,
    plugs: 'heater',
    hint: say('tray.tapOutletHalfPlug1500'),
  },
  tester: {
    name: say('tray.tester'),
    icon: PlugZap,
    plugs: 'tester',
    hint: say('tray.tapOutletHalfPlugTester'),
  },
  meter: {
    name: say('tray.meter'),
    icon: Gauge,
    plugs: null,
    hint: say('tray.touchTwoScrewsSplicesCaps'),
  },
  'low meter': {
    name: say('tray.lowZ'),
    icon: Gauge,
    plugs: null,
    hint: say('tray.lowImpedanceLoadsFloatingConductor'),
  },
  'non-contact': {
    name: say('tray.nonContact'),
    icon: Radio,
    plugs: null,
    hint: say('tray.touchScrewSpliceCap'),
  },
} as const satisfies Record<string, ToolRow>;
export type Tool = keyof typeof TOOLS;

/** What is in the hand: one at a time. */
export function Tray({ tool, onChoose }: { tool: Tool; onChoose: (tool: Tool) => void }) {
  return (
    <div>
      <div role="toolbar" aria-label={say('tray.hand2')} className="flex flex-wrap gap-1">
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
