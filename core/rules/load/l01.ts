import { fromLoad } from './from-load';
import { section, type Rule } from '../rule';

export const l01: Rule = {
  id: 'L01',
  title: 'Continuous load at 125 % over the breaker',
  section: section('210.20(A), 210.19(A)(1)'),
  severity: 'code',
  looksAt: 'each circuit',
  check: fromLoad('L01'),
};
