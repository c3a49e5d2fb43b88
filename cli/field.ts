import { z } from 'zod';
import { zodProblems } from '@core/job/model/job-file';
import { bad, good, type Checked } from '@core/job/model/problem';
import type { Plan } from '@core/wiring/plan';
import { FieldReport } from '@core/site/script/report';
import { studyFaults } from '@core/site/script/script';
import { readJson } from './json';

/** Readings as a file for `--readings`: what the tests of `script` showed. */
const ReadingsFile = z.strictObject({
  readings: z
    .array(z.strictObject({ test: z.string().min(1).max(300), shows: z.string().min(1).max(2000) }))
    .max(500),
});

const reportOf = (plan: Plan): FieldReport => new FieldReport(plan, studyFaults(plan));

/** The shortest test script, what it covers, and what only a look or nothing finds. */
export const scriptReport = (plan: Plan) => reportOf(plan).script();

/** What may be wrong, given the readings, and the next test. Unknown tests are problems with their path. */
export function diagnoseReport(plan: Plan, text: string): Checked<object> {
  const json = readJson(text, 'readings');
  if (!json.ok) return json;
  const parsed = ReadingsFile.safeParse(json.value);
  if (!parsed.success) return bad(...zodProblems(parsed.error));
  const report = reportOf(plan);
  const problems = parsed.data.readings.flatMap(({ test }, index) =>
    report.knows(test)
      ? []
      : [
          {
            path: `readings[${index}].test`,
            message: `there is no test "${test}" in this job`,
            wayOut: 'Take the id of a test from the command "script", or of the next test from "diagnose".',
          },
        ],
  );
  return problems.length > 0 ? bad(...problems) : good(report.find(parsed.data.readings));
}
