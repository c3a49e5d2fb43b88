import { green, lead, still, type DeviceKind } from './kind';

/** What hangs on its box with a black and a white lead of its own: the black is its hot. */
export const hung = (
  own: Pick<DeviceKind, 'id' | 'name' | 'serves'>,
  part: { readonly id: string; readonly name: string },
): DeviceKind => ({
  ...still,
  ...own,
  receptacle: false,
  yoke: false,
  terminals: [
    lead('hot', 'black', 'right', 0.3),
    lead('neutral', 'white', 'left', 0.3),
    { ...green, height: 0.8 },
  ],
  parts: [{ does: 'power', ...part, hot: 'hot', neutral: 'neutral', ground: 'ground', plug: false }],
});
