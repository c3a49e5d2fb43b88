import { Lightbulb, Plug, ToggleLeft } from 'lucide-react';
import { say } from '~/words/lay-out';

/** What a box may be given. */
export const THINGS = [
  { holds: 'outlet', word: say('boxWishes.outlet'), icon: Plug },
  { holds: 'switch', word: say('boxWishes.switch'), icon: ToggleLeft },
  { holds: 'light', word: say('boxWishes.light'), icon: Lightbulb },
] as const;
