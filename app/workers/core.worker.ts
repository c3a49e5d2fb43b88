import { expose } from 'comlink';
import { protectionStrategies } from '@core/protection/strategies';
import { study } from '@core/survey/study';
import { optionSearch } from './option-search';

/** All that takes longer than a tap: one file, of which each stage starts a worker of its own. */
const { search, cancel } = optionSearch();
const worker = { study, ways: protectionStrategies, search, cancel };
export type CoreWorker = typeof worker;

expose(worker);
