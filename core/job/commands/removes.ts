import type { Command } from './command';
import type { HouseCommand } from './house';

type Any = Command | HouseCommand;

/** Commands by which a tap takes out a thing that was entered: what stands below comes up under the same finger. */
const REMOVES: ReadonlySet<Any['do']> = new Set<Any['do']>([
  'remove connector',
  'remove circuit',
  'remove run',
  'remove box',
  'remove room',
  'remove sheet',
  'remove opening',
  'remove device',
  'remove plan line',
  'remove survey',
  'remove reading',
  'remove panel circuit',
  'remove person',
]);

/** True where one of them takes something out. */
export const removes = (commands: readonly Any[]): boolean =>
  commands.some(
    (one) =>
      REMOVES.has(one.do) ||
      (one.do === 'note seen' && (one.change.what === 'cable out' || one.change.what === 'device out')),
  );
