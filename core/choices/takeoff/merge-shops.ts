import { mergeThree } from '../../base/merge/three-way';
import { RULES } from '../../job/merge/rules';
import { EXAMPLE_SHOP, type Shop } from './shop';

/** Two copies of a shop's own, figure by figure; each began as the example, where nothing else is known. */
export const mergeShops = (base: Shop | null, ours: Shop, theirs: Shop) =>
  mergeThree(base ?? EXAMPLE_SHOP, ours, theirs, RULES);
