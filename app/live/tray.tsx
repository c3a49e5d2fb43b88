import {
  Cable,
  CircleGauge,
  Flame,
  Gauge,
  Hand,
  Lamp,
  Omega,
  PersonStanding,
  PlugZap,
  Radio,
  Sparkles,
  Torus,
  Unplug,
  type LucideIcon,
} from 'lucide-react';
import type { ReactNode } from 'react';
import type { PlugInId } from '@core/trade/standards/loads';
import { say } from '~/words/energize';

interface ToolRow {
  readonly name: string;
  readonly icon: LucideIcon;
  readonly hint: string;
  readonly group: 'use' | 'measure' | 'try';
  /** What it puts into an outlet half; nothing where it has no such thing. */
  readonly plugs?: PlugInId | 'tester';
  /** What the meter is set to. */
  readonly meter?: 'high' | 'low' | 'ohms';
}

export const TOOLS = {
  hand: { name: say('tray.hand'), icon: Hand, hint: say('tray.handHint'), group: 'use' },
  lamp: { name: say('tray.lamp'), icon: Lamp, hint: say('tray.lampHint'), group: 'use', plugs: 'lamp' },
  heater: {
    name: say('tray.heater'),
    icon: Flame,
    hint: say('tray.heaterHint'),
    group: 'use',
    plugs: 'heater',
  },
  tester: {
    name: say('tray.tester'),
    icon: PlugZap,
    hint: say('tray.testerHint'),
    group: 'measure',
    plugs: 'tester',
  },
  meter: {
    name: say('tray.meter'),
    icon: Gauge,
    hint: say('tray.meterHint'),
    group: 'measure',
    meter: 'high',
  },
  'low meter': {
    name: say('tray.lowZ'),
    icon: CircleGauge,
    hint: say('tray.lowZHint'),
    group: 'measure',
    meter: 'low',
  },
  ohms: { name: say('tray.ohms'), icon: Omega, hint: say('tray.ohmsHint'), group: 'measure', meter: 'ohms' },
  clamp: { name: say('tray.clamp'), icon: Torus, hint: say('tray.clampHint'), group: 'measure' },
  tip: { name: say('tray.tip'), icon: Radio, hint: say('tray.tipHint'), group: 'measure' },
  rewire: { name: say('tray.rewire'), icon: Cable, hint: say('tray.rewireHint'), group: 'try' },
  loosen: { name: say('tray.loosen'), icon: Unplug, hint: say('tray.loosenHint'), group: 'try' },
  arc: { name: say('tray.arc'), icon: Sparkles, hint: say('tray.arcHint'), group: 'try' },
  touch: { name: say('tray.touch'), icon: PersonStanding, hint: say('tray.touchHint'), group: 'try' },
} as const satisfies Record<string, ToolRow>;
export type Tool = keyof typeof TOOLS;
export const toolRow = (tool: Tool): ToolRow => TOOLS[tool];

const GROUPS = [
  ['use', say('tray.use')],
  ['measure', say('tray.measure')],
  ['try', say('tray.try')],
] as const;

/** What is in the hand: one at a time. `without`: tools that are not lent. */
export function Tray({
  tool,
  onChoose,
  without = [],
  children,
}: {
  tool: Tool;
  onChoose: (tool: Tool) => void;
  without?: readonly Tool[];
  /** What stands beside the hint. */
  children?: ReactNode;
}) {
  const lent = (Object.keys(TOOLS) as Tool[]).filter((id) => !without.includes(id));
  return (
    <div>
      <div
        role="toolbar"
        aria-label={say('tray.inHand')}
        className="flex gap-1 overflow-x-auto pb-1 sm:flex-wrap"
      >
        {GROUPS.map(([group, title]) => (
          <div key={group} role="group" aria-label={title} className="contents">
            {lent
              .filter((id) => TOOLS[id].group === group)
              .map((id) => {
                const { name, icon: Icon } = TOOLS[id];
                return (
                  <button
                    key={id}
                    type="button"
                    aria-pressed={tool === id}
                    onClick={() => onChoose(id)}
                    className="flex min-h-11 items-center shrink-0 gap-1 rounded-lg border-2 border-line bg-sand px-1.5 text-sm font-semibold whitespace-nowrap aria-pressed:border-plum aria-pressed:bg-plum-tint"
                  >
                    <Icon aria-hidden size={18} /> {name}
                  </button>
                );
              })}
          </div>
        ))}
      </div>
      <div className="mt-1 flex items-center gap-2">
        <p className="min-w-0 flex-1 text-sm text-ink-soft">{TOOLS[tool].hint}</p>
        {children}
      </div>
    </div>
  );
}
