import { z } from 'zod';
import { applyCommands, note, type DesignCommand } from '../../job/commands/command';
import { Design } from '../../job/model/design';
import type { Job } from '../../job/model/job';
import { bad, good, type Checked } from '../../job/model/problem';
import { EMPTY_RECORD } from '../../job/model/record';
import { newSurvey } from '../../job/seen/seen-box';
import type { Start } from './start';
import { say } from '../../base/words/starts';

/** A job with nothing in it but a first box at the end of a cable from the panel. */
export const blankJob = (id: string, name: string): Design =>
  Design.parse({
    id,
    name,
    edition: '2020',
    circuits: [{ id: 'circuit', number: '1', breakerA: 20, leg: 'A' }],
    boxes: [{ id: 'first', name: say('start.firstBox'), family: 'nail-on', gangs: 1, volumeIn3: 20.3 }],
    runs: [{ id: 'feed', from: 'panel', to: 'first', lengthFt: 30, existing: '12-2', circuits: ['circuit'] }],
    groups: [],
    devices: [],
  });

/** What is said when a job is made of a starting point. */
export const StartAnswers = z.strictObject({
  name: Design.shape.name,
  /** Numbers of its circuits, as in the directory. */
  circuits: z.array(z.string().trim().min(1).max(12)).min(1).max(2),
  breakerA: z.union([z.literal(15), z.literal(20)]),
  /** Answers by question; what is not answered is as given. */
  answers: z.record(z.string(), z.string()),
});
export type StartAnswers = z.infer<typeof StartAnswers>;

/** Cables of the same conductors that a 15 A breaker allows in place of those of 20 A (240.4(D)). */
const OF_15_A = { '12-2': '14-2', '12-3': '14-3', '12-2-2': '14-2-2', '12-4': '14-4' } as const;

/**
 * The job of a starting point. Problems name what was asked for and is not there: an answer that the question does not
 * have, two circuits with one number.
 */
export function jobFrom(start: Start, id: string, asked: StartAnswers): Checked<Job> {
  const chosen: DesignCommand[] = [];
  for (const question of start.questions) {
    const wanted = asked.answers[question.id];
    const answer =
      wanted === undefined ? question.answers[0] : question.answers.find((one) => one.id === wanted);
    if (!answer)
      return bad({
        path: question.id,
        message: say('start.noSuchAnswer', { label: question.label }),
        wayOut: say('start.chooseOne', { answers: question.answers.map(({ label }) => label).join(', ') }),
      });
    chosen.push(...answer.commands);
  }
  if (new Set(asked.circuits).size < start.circuits)
    return bad({
      path: 'circuits',
      message: say('start.circuitsAlike'),
      wayOut: say('start.twoNumbers'),
    });
  const made = applyCommands(blankJob(id, asked.name), [...start.commands, ...chosen]);
  if (!made.ok) return made;
  const numbered = applyCommands(made.value.job, circuitCommands(made.value.job, asked));
  if (!numbered.ok) return numbered;
  const design = numbered.value.job;
  if (start.opened === undefined) return good({ design, record: EMPTY_RECORD });
  const [number = '1'] = asked.circuits;
  const survey = { ...newSurvey('opened', asked.name, number), breakerA: asked.breakerA };
  const opened = note(EMPTY_RECORD, { do: 'add survey', survey });
  if (!opened.ok || start.opened === null)
    return opened.ok ? good({ design, record: opened.value.record }) : opened;
  const seen = note(opened.value.record, {
    do: 'note seen',
    survey: 'opened',
    change: { what: 'typical', box: survey.target, typical: start.opened },
  });
  return seen.ok ? good({ design, record: seen.value.record }) : seen;
}

function circuitCommands(design: Design, { circuits, breakerA }: StartAnswers): DesignCommand[] {
  return [
    ...design.circuits.map(({ id, number }, index): DesignCommand => ({
      do: 'set circuit',
      circuit: id,
      change: { number: circuits[index] ?? number, breakerA },
    })),
    ...(breakerA === 15 ? design.runs : []).flatMap(({ id, existing }): DesignCommand[] => {
      const thinner = existing && existing in OF_15_A ? OF_15_A[existing as keyof typeof OF_15_A] : null;
      return thinner ? [{ do: 'set run', run: id, change: { existing: thinner } }] : [];
    }),
  ];
}
