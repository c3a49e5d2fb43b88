import { expose } from 'comlink';
import { study } from '@core/survey/study';

const find = { study };
export type FindWorker = typeof find;

expose(find);
