import { expose } from 'comlink';
import { answers } from './answers';
import type { OptionSearch } from './option-search';

type Study = typeof import('@core/survey/study').study;
type HandOver = typeof import('@core/survey/hand-over').handOver;
type Ways = typeof import('@core/protection/strategies').protectionStrategies;

/** All that takes longer than a tap: one file, of which each use starts a worker of its own and loads what it needs. */
let searching: Promise<OptionSearch> | null = null;
const options = () => (searching ??= import('./option-search').then(({ optionSearch }) => optionSearch()));

const worker = {
  ...answers(),
  study: async (...asked: Parameters<Study>) => (await import('@core/survey/study')).study(...asked),
  handOver: async (...asked: Parameters<HandOver>) =>
    (await import('@core/survey/hand-over')).handOver(...asked),
  ways: async (...asked: Parameters<Ways>) =>
    (await import('@core/protection/strategies')).protectionStrategies(...asked),
  search: async (...asked: Parameters<OptionSearch['search']>) => (await options()).search(...asked),
  cancel: async () => (await options()).cancel(),
};
export type CoreWorker = typeof worker;

expose(worker);
