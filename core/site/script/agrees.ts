import type { Outcome } from './field-test';

/**
 * A lamp plugged into an outlet, lit or dark, as a reading of the plug-in tester there: a lamp burns where the tester's
 * first light does.
 */
export const LAMP = { lit: 'lamp lit', dark: 'lamp dark' } as const;

/** True where what was read is what a house shows. */
export const agrees = (read: Outcome, shown: Outcome): boolean =>
  read === shown ||
  (read === LAMP.lit && shown.startsWith('1')) ||
  (read === LAMP.dark && shown.startsWith('0'));
