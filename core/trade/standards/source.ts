import { say } from '../../base/words/standards';
/**
 * Where a value comes from. `memory` marks values recalled from the printed code rather than copied from it:
 * whoever relies on them checks them against the adopted edition.
 */
export interface Source {
  readonly document: string;
  readonly memory: boolean;
}

export const nec = (section: string): Source => ({ document: say('source.nec', { section }), memory: true });
export const commonPractice: Source = { document: say('source.commonPractice'), memory: false };

/** The editions of the National Electrical Code (NFPA 70) that a job can name. */
export const EDITIONS = ['2017', '2020', '2023'] as const;
export type Edition = (typeof EDITIONS)[number];
