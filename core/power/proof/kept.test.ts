import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyCommand } from '../../job/commands/command';
import type { Design } from '../../job/model/design';
import { planJob } from '../../wiring/plan';
import { draws } from '../../testing/draws';
import { drawn, pick } from '../../testing/random-commands';
import { wideJob } from '../../testing/wide-jobs';
import type { Wiring } from '../../job/model/wiring';
import { prove, type Proof } from './prove';

const MARK = '§';
/** The same house whose every box has another name: nothing that was found of it before is of use. */
const renamed = (job: Design): Design => ({
  ...job,
  boxes: job.boxes.map((box) => ({ ...box, name: `${box.name}${MARK}` })),
});
/** All that a verification says, but for those names. */
const said = ({ parts, coverage, findings, statesTried }: Proof): unknown =>
  JSON.parse(
    JSON.stringify({
      parts: parts.map((part) => ({
        ...part,
        rows: part.rows.map((row) => ({ ...row, positions: [...row.positions] })),
      })),
      coverage: [...coverage],
      findings,
      statesTried,
    }).replaceAll(MARK, ''),
  );

test('what is kept of a part is what would be found anew, whatever was changed before', () => {
  let changed = 0;
  fc.assert(
    fc.property(wideJob, fc.array(drawn, { minLength: 1, maxLength: 4 }), (job, commands) => {
      // The wiring stays behind where the change does not compile: then it is wrong, and that has to be found too.
      let last: { design: Design; wiring: Wiring } | null = null;
      let design = job;
      for (const draw of [null, ...commands]) {
        const next = draw ? applyCommand(design, draw(design, pick)) : null;
        if (draw && !next?.ok) continue;
        design = next?.ok ? next.value.job : design;
        const outcome = planJob(design);
        if (outcome.ok) last = { design, wiring: outcome.plan.wiring };
        if (!last) continue;
        if (draw) changed++;
        const own = outcome.ok ? design : last.design;
        expect(said(prove(own, last.wiring))).toEqual(said(prove(renamed(own), last.wiring)));
      }
    }),
    { numRuns: draws(60, 600) },
  );
  expect(changed).toBeGreaterThan(draws(30, 300));
});
