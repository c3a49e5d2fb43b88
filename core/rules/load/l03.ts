import { fromLoad } from './from-load';
import { section, type Rule } from '../rule';

export const l03: Rule = {
  id: 'L03',
  title: 'One plug-in load too large for the circuit or its receptacle',
  section: section('210.23(A)(1)', '210.23(A)(1)', '210.23(B)(1)'),
  severity: 'code',
  looksAt: 'each plug',
  check: fromLoad('L03'),
};
