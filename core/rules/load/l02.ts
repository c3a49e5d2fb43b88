import { fromLoad } from './from-load';
import { section, type Rule } from '../rule';

export const l02: Rule = {
  id: 'L02',
  title: 'Load over the rating of the circuit',
  section: section('220.18, 210.23'),
  severity: 'code',
  looksAt: 'each circuit',
  check: fromLoad('L02'),
};
