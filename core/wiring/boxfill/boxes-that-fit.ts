import { BOXES, type BoxRow } from '../../trade/standards/boxes';
import type { Box } from '../../job/model/design';
import type { Edition } from '../../trade/standards/source';
import { boxFill, type FillCount } from './box-fill';

/** Rings on a box add the volume marked on them. */
export const totalVolumeIn3 = ({ volumeIn3, ringIn3 }: Pick<Box, 'volumeIn3' | 'ringIn3'>): number =>
  volumeIn3 + ringIn3;

/**
 * The smallest boxes of the catalog that would do: for each family the first that holds it all and has the gangs.
 * A box's own clamps count as its own.
 */
export function boxesThatFit(count: FillCount, gangs: number, edition: Edition): BoxRow[] {
  const families = [...new Set(BOXES.map(({ family }) => family))];
  return families.flatMap((family) => {
    const fitting = BOXES.filter(
      (row) =>
        row.family === family &&
        row.gangs >= gangs &&
        boxFill({ ...count, internalClamps: row.internalClamps }, row.volumeIn3, edition).fits,
    ).sort((a, b) => a.volumeIn3 - b.volumeIn3);
    return fitting.slice(0, 1);
  });
}
