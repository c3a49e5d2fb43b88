import { expose } from 'comlink';
import { answers } from './answers';
import type { FieldTests } from './field-tests';
import type { OptionSearch } from './option-search';

type Study = typeof import('@core/survey/study').study;
type HandOver = typeof import('@core/survey/hand-over').handOver;
type Ways = typeof import('@core/protection/strategies').protectionStrategies;

/** All that takes longer than a tap: one file, of which each use starts a worker of its own and loads what it needs. */
let searching: Promise<OptionSearch> | null = null;
const options = () => (searching ??= import('./option-search').then(({ optionSearch }) => optionSearch()));

let testing: Promise<FieldTests> | null = null;
const field = () => (testing ??= import('./field-tests').then(({ fieldTests }) => fieldTests()));

const worker = {
  ...answers(),
  study: async (...asked: Parameters<Study>) => (await import('@core/survey/study')).study(...asked),
  handOver: async (...asked: Parameters<HandOver>) =>
    (await import('@core/survey/hand-over')).handOver(...asked),
  ways: async (...asked: Parameters<Ways>) =>
    (await import('@core/protection/strategies')).protectionStrategies(...asked),
  search: async (...asked: Parameters<OptionSearch['search']>) => (await options()).search(...asked),
  cancel: async () => (await options()).cancel(),
  testScript: async (...asked: Parameters<FieldTests['script']>) => (await field()).script(...asked),
  findFault: async (...asked: Parameters<FieldTests['find']>) => (await field()).find(...asked),
  cancelTests: async () => (await field()).cancel(),
};
export type CoreWorker = typeof worker;

expose(worker);
