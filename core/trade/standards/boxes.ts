import { commonPractice, nec, type Source } from './source';
import { FAMILY_NAME } from './names';
import { say } from '../../base/words/standards';

export const BOX_FAMILIES = [
  'nail-on',
  'cut-in',
  'metal device',
  'metal square',
  'metal octagon',
  'ceiling',
] as const;
export type BoxFamily = (typeof BOX_FAMILIES)[number];

const METAL: ReadonlySet<BoxFamily> = new Set(['metal device', 'metal square', 'metal octagon']);
export const isMetal = (family: BoxFamily): boolean => METAL.has(family);

export interface BoxRow {
  readonly id: string;
  readonly name: string;
  readonly family: BoxFamily;
  readonly gangs: number;
  /** Volume, in³: the table minimum for metal boxes, a typical stamp for nonmetallic ones. */
  readonly volumeIn3: number;
  readonly internalClamps: boolean;
  readonly source: Source;
}

const metalTable = nec(say('boxes.source'));

/** Of the metal boxes, in the row of a size. */
const METAL_NAME = {
  'metal device': say('names.device'),
  'metal square': say('names.square'),
  'metal octagon': say('names.octagon'),
} as const;

const metal = (
  family: 'metal device' | 'metal square' | 'metal octagon',
  size: string,
  volumeIn3: number,
  gangs = 1,
): BoxRow => ({
  id: `${family} ${size}`.replaceAll(' ', '-'),
  name: say('boxes.metal', { size, family: METAL_NAME[family] }),
  family,
  gangs,
  volumeIn3,
  internalClamps: family !== 'metal square',
  source: metalTable,
});

const plastic = (family: 'nail-on' | 'cut-in' | 'ceiling', gangs: number, volumeIn3: number): BoxRow => ({
  id: `${family}-${gangs}-${volumeIn3}`,
  name: say('boxes.in', {
    family:
      family === 'ceiling'
        ? say('boxes.ceilingRound')
        : say('boxes.gangs', { family: FAMILY_NAME[family], gangs }),
    volumeIn3,
  }),
  family,
  gangs,
  volumeIn3,
  internalClamps: false,
  source: commonPractice,
});

/** Box catalog: metal minimum volumes (NEC Table 314.16(A), from memory), nonmetallic typical stamps (common practice). */
export const BOXES: readonly BoxRow[] = [
  metal('metal octagon', '4 × 1¼', 12.5),
  metal('metal octagon', '4 × 1½', 15.5),
  metal('metal octagon', '4 × 2⅛', 21.5),
  metal('metal square', '4 × 1¼', 18.0, 2),
  metal('metal square', '4 × 1½', 21.0, 2),
  metal('metal square', '4 × 2⅛', 30.3, 2),
  metal('metal square', '4 11/16 × 1¼', 25.5, 2),
  metal('metal square', '4 11/16 × 1½', 29.5, 2),
  metal('metal square', '4 11/16 × 2⅛', 42.0, 2),
  metal('metal device', '3 × 2 × 1½', 7.5),
  metal('metal device', '3 × 2 × 2', 10.0),
  metal('metal device', '3 × 2 × 2¼', 10.5),
  metal('metal device', '3 × 2 × 2½', 12.5),
  metal('metal device', '3 × 2 × 2¾', 14.0),
  metal('metal device', '3 × 2 × 3½', 18.0),
  metal('metal device', '4 × 2⅛ × 1½', 10.3),
  metal('metal device', '4 × 2⅛ × 1⅞', 13.0),
  metal('metal device', '4 × 2⅛ × 2⅛', 14.5),
  plastic('nail-on', 1, 18),
  plastic('nail-on', 1, 20.3),
  plastic('nail-on', 1, 22.5),
  plastic('cut-in', 1, 14),
  plastic('cut-in', 1, 20),
  plastic('nail-on', 2, 32),
  plastic('nail-on', 2, 35),
  plastic('cut-in', 2, 25),
  plastic('cut-in', 2, 31),
  plastic('nail-on', 3, 44),
  plastic('nail-on', 4, 60),
  plastic('ceiling', 1, 20),
  plastic('ceiling', 1, 22.5),
];

export const boxRow = (id: string): BoxRow | undefined => BOXES.find((box) => box.id === id);
