import type { BoxFamily } from './boxes';
import type { CableRow, Insulation } from './cables';
import { say } from '../../base/words/standards';

/** What the colors of insulation are called. */
export const INSULATION_NAME: Readonly<Record<Insulation, string>> = {
  black: say('names.black'),
  red: say('names.red'),
  blue: say('names.blue'),
  white: say('names.white'),
  'white-red': say('names.whiteRed'),
  bare: say('names.bare'),
  green: say('names.green'),
};

/** What the colors of cable jackets are called. */
export const JACKET_NAME: Readonly<Record<CableRow['jacket'], string>> = {
  white: say('names.whiteJacket'),
  yellow: say('names.yellow'),
  orange: say('names.orange'),
};

/** What the families of boxes are called. */
export const FAMILY_NAME: Readonly<Record<BoxFamily, string>> = {
  'nail-on': say('names.nailOn'),
  'cut-in': say('names.cutIn'),
  'metal device': say('names.metalDevice'),
  'metal square': say('names.metalSquare'),
  'metal octagon': say('names.metalOctagon'),
  ceiling: say('names.ceiling'),
};
