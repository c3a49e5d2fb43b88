import { expose } from 'comlink';
import { protectionStrategies } from '@core/protection/strategies';

const protection = { ways: protectionStrategies };
export type ProtectionWorker = typeof protection;

expose(protection);
