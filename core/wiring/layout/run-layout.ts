import type { Run } from '../../job/model/design';
import type { Fit } from './fit';
import type { Net } from './nets';
import type { Strand } from './strands';

/** The cables of one run, each with its nets placed. */
export interface RunLayout {
  readonly run: Run;
  /** The nets it carries, each once. */
  readonly nets: readonly Net[];
  readonly strands: readonly Strand[];
  readonly cables: readonly Fit[];
}
