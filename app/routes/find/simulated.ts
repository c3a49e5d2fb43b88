import { createContext } from 'react';
import type { Probe, Setup } from '@core/job/model/survey';

/** Where a simulator answers, readings are not entered but taken: this takes one. */
export const Simulated = createContext<((setup: Setup, probe: Probe) => void) | null>(null);
