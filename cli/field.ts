import { z } from 'zod';
import { zodProblems } from '@core/model/file';
import { bad, good, type Checked } from '@core/model/problem';
import type { Plan } from '@core/plan';
import { findFault, type FieldReading } from '@core/script/find-fault';
import type { FieldTest, Outcome } from '@core/script/field-test';
import { scriptOf, studyFaults, type Study } from '@core/script/script';
import { TestWords } from '@core/script/words';
import { sure } from '@core/sure';
import { readJson } from './json';

/** Readings as a file for `--readings`: what the tests of `script` showed. */
const ReadingsFile = z.strictObject({
  readings: z
    .array(z.strictObject({ test: z.string().min(1).max(300), shows: z.string().min(1).max(2000) }))
    .max(500),
});

const studied = (plan: Plan): Study => sure(studyFaults(plan), 'study that nobody stopped');

const shownTest = (words: TestWords, test: FieldTest) => ({
  id: test.id,
  box: words.box(test.box),
  instrument: test.instrument,
  live: test.live,
  state: words.state(test),
  what: words.what(test),
});
const shownReading = (words: TestWords, test: FieldTest, shows: Outcome) => ({
  code: shows,
  says: words.reading(test, shows),
});

/** The shortest test script, what it covers, and what only a look or nothing finds. */
export function scriptReport(plan: Plan) {
  const study = studied(plan);
  const script = scriptOf(plan, study);
  const words = new TestWords(plan);
  return {
    steps: script.steps.map(({ test, expected, tells }) => ({
      ...shownTest(words, test),
      expected: shownReading(words, test, expected),
      tells: tells.map(({ id }) => id),
    })),
    coverage: { seen: script.seen, told: script.seen, tests: script.steps.length },
    fewestPossible: script.bound,
    naive: script.naive,
    look: script.look.map((fault) => ({ id: fault.id, says: words.fault(fault) })),
    unseen: script.unseen.map((fault) => ({ id: fault.id, says: words.fault(fault) })),
    tests: study.tests.map(({ id }) => id),
  };
}

/** What may be wrong, given the readings, and the next test. Unknown tests are problems with their path. */
export function diagnoseReport(plan: Plan, text: string): Checked<object> {
  const json = readJson(text, 'readings');
  if (!json.ok) return json;
  const parsed = ReadingsFile.safeParse(json.value);
  if (!parsed.success) return bad(...zodProblems(parsed.error));
  const study = studied(plan);
  const known = new Set(study.tests.map(({ id }) => id));
  const problems = parsed.data.readings.flatMap(({ test }, index) =>
    known.has(test)
      ? []
      : [
          {
            path: `readings[${index}].test`,
            message: `there is no test "${test}" in this job`,
            wayOut: 'Take the id of a test from the command "script".',
          },
        ],
  );
  const [first, ...rest] = problems;
  if (first) return bad(first, ...rest);
  const readings: FieldReading[] = parsed.data.readings;
  const words = new TestWords(plan);
  const { suspects, next, verdict } = findFault(plan, study, readings);
  return good({
    verdict,
    suspects: suspects.slice(0, 10).map(({ ways, weight, against }) => ({
      weight,
      against,
      ways: ways.map((faults) =>
        faults.map((fault) => ({ id: fault.id, says: words.fault(fault), fix: fault.row.fix })),
      ),
    })),
    next: next && shownTest(words, next),
  });
}
