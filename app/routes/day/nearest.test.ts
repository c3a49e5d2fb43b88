import fc from 'fast-check';
import { expect, test } from '@jest/globals';
import { nearest } from './nearest';

const block = fc
  .tuple(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 60 }))
  .map(([from, long]) => ({ from, to: from + long }));

test('a thumb means no block that is farther away than another', () => {
  fc.assert(
    fc.property(fc.array(block, { maxLength: 20 }), fc.integer({ min: -20, max: 480 }), (blocks, minute) => {
      const found = nearest(blocks, minute);
      if (blocks.length === 0) return expect(found).toBeNull();
      // By steps of one minute from where it touches: the first that any block reaches.
      const reaches = (by: number) =>
        blocks.filter(({ from, to }) => from <= minute + by && to >= minute - by);
      let by = 0;
      while (reaches(by).length === 0) by++;
      expect(reaches(by)).toContain(found);
      expect(Math.min(...reaches(by).map(({ from, to }) => to - from))).toBe(found!.to - found!.from);
    }),
  );
});
