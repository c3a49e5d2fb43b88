import type { Circuit, Holds } from './design';
import { say } from '../../base/words/model';

/* What the values of the file's lists are called on screens and sheets: a value itself is never shown. */

type Names<Value extends string> = Readonly<Record<Value, string>>;

export const PROTECTION_NAME: Names<Circuit['protection']> = {
  none: say('names.protectionNone'),
  gfci: say('names.protectionGfci'),
  afci: say('names.protectionAfci'),
  dual: say('names.protectionDual'),
};

export const SIDE_NAME: Names<'left' | 'right' | 'above' | 'below' | 'up' | 'down'> = {
  left: say('names.left'),
  right: say('names.right'),
  above: say('names.above'),
  below: say('names.below'),
  up: say('names.up'),
  down: say('names.down'),
};

export const AGE_NAME: Names<'existing' | 'new'> = {
  existing: say('names.existing'),
  new: say('names.new'),
};

export const HOLDS_NAME: Names<Holds> = {
  switch: say('names.switch'),
  outlet: say('names.outlet'),
  light: say('names.light'),
};
