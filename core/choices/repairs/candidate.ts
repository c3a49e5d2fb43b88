import type { DesignCommand } from '../../job/commands/command';
import type { Plan } from '../../wiring/plan';

/** A change that may make a refused job compile. */
export interface Candidate {
  /** In words, once it is known what it comes to. */
  readonly says: (plan: Plan) => string;
  readonly gives: string | null;
  readonly commands: readonly DesignCommand[];
  /** Disturbance beside the cable, in feet of cable that one would rather pull. Common practice, roughly. */
  readonly trouble: number;
}

export const keeps = (says: string, commands: readonly DesignCommand[], trouble: number): Candidate => ({
  says: () => says,
  gives: null,
  commands,
  trouble,
});
