import type { Told } from '../../base/words/speak';
import { at, type At } from './at';
import type { DesignCommand } from '../../job/commands/command';
import type { Finding } from '../../power/proof/proof';
import type { Edition } from '../../trade/standards/source';
import type { Site } from './site';

/** stop: can hurt someone, or will not work. code: against the section. ask: hangs on the authority or a fact. */
export type Severity = 'stop' | 'code' | 'ask' | 'craft';

/** A change that would settle it. */
export interface Fix {
  readonly says: string;
  readonly commands: readonly DesignCommand[];
}

export interface Hit extends Told {
  readonly at: At;
  /** Where it differs from the rule's own. */
  readonly severity?: Severity;
  readonly fix?: Fix;
}

export interface Rule {
  readonly id: string;
  readonly title: string;
  /** Section of the NEC in each edition, from memory; "" where it follows from the wish or the trade. */
  readonly section: Readonly<Record<Edition, string>>;
  readonly severity: Severity;
  /** True where it binds new work and what is replaced: a device that was there is judged by the rules of its time. */
  readonly newWork?: true;
  /** What it looks at, in a few words. */
  readonly looksAt: string;
  /** Where the text of the code can be read in two ways: how it is read here, and why. */
  readonly decided?: string;
  /** Set where it looks at what was asked or found as well: what was noted can change it without the design. */
  readonly reads?: 'record';
  readonly check: (site: Site) => readonly Hit[];
}

/** One section for all editions, or one each for 2017, 2020 and 2023. */
export const section = (all: string, from2020 = all, from2023 = from2020): Rule['section'] => ({
  '2017': all,
  '2020': from2020,
  '2023': from2023,
});

/** Where the screens show what the verification found. */
export function siteAt({ at: where }: Finding): At {
  switch (where.kind) {
    case 'part':
    case 'device':
      return at('device', where.device);
    case 'box':
      return at('box', where.box);
    case 'circuit':
      return at('circuit', where.circuit);
    case 'cable':
    case 'conductor':
      return at('run', where.run);
  }
}

export { at, type At };
