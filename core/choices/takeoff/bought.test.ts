import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mergeBought } from './bought';

const KEYS = ['cable 14-2', 'cable 14-3', 'box', 'duplex', 'switch', 'lever'];
const list = fc.subarray(KEYS);

test('what either bought is bought, what either put back is not, what both bought apart is said: key by key', () => {
  fc.assert(
    fc.property(list, list, list, (base, ours, theirs) => {
      const { bought, twice } = mergeBought(base, ours, theirs);
      for (const key of KEYS) {
        const [was, own, coming] = [base, ours, theirs].map((one) => one.includes(key));
        // Whoever differs from what both knew has done something; the rest stays.
        const is = own === was ? coming : own;
        expect([key, bought.includes(key)]).toEqual([key, is]);
        expect([key, twice.includes(key)]).toEqual([key, !was && own && coming]);
      }
      expect(mergeBought(base, theirs, ours)).toEqual({ bought, twice });
      // Come together once, there is nothing more.
      expect(mergeBought(bought, bought, bought)).toEqual({ bought: [...bought].sort(), twice: [] });
    }),
  );
});

test('without an origin all of both is bought, and nobody is said to have bought twice', () => {
  fc.assert(
    fc.property(list, list, (ours, theirs) => {
      const { bought, twice } = mergeBought(null, ours, theirs);
      expect(new Set(bought)).toEqual(new Set([...ours, ...theirs]));
      expect(twice).toEqual([]);
    }),
  );
});
