import { still, terminal, type ControlPart, type DeviceKind, type WiredKind } from './kind';
import { say } from '../../base/words/devices';

/** What every wired wall switch has in common. */
export const switchBase = { ...still, serves: 'switch', receptacle: false, yoke: true } as const;

/** What the positions of a handle are called: of one that says ON and OFF, and of one that does not. */
export const offOn = [say('switchParts.off'), say('switchParts.on')] as const;
export const downUp = [say('switchParts.down'), say('switchParts.up')] as const;

/** The one part of a switch: which terminals face the feed and which the load. */
export const handle = (feedSide: readonly string[], loadSide: readonly string[]): readonly [ControlPart] => [
  { does: 'control', id: 'handle', name: say('switchParts.handle'), feedSide, loadSide },
];

const neutralLead = terminal('neutral', say('switchParts.silverScrewSwitchNeutral'), 'silver', 'left', 0.5);

/** A switch like another, under its own name and with its own line side; `withNeutral` where its electronics need one. */
export const likeA = (plain: DeviceKind, id: WiredKind, name: string): DeviceKind => ({
  ...plain,
  id,
  name,
  equalScrews: false,
});
export const withNeutral = (plain: DeviceKind): DeviceKind => ({
  ...plain,
  terminals: [...plain.terminals, neutralLead],
  parts: plain.parts.map((part) => (part.does === 'control' ? { ...part, neutral: 'neutral' } : part)),
});
