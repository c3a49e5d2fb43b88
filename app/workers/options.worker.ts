import { expose } from 'comlink';
import { optionSearch } from './option-search';

const worker = optionSearch();
export type OptionsWorker = typeof worker;

expose(worker);
