import { sure } from '../sure';
import { cableNames } from '../makeup/cable-names';
import { inBox } from '../model/in-box';
import { PANEL, type Box, type Run } from '../model/design';
import type { Drawable } from '../plan';
import { placeName } from '../layout/names';
import { measureRun } from '../rooms/route';
import { isMetal } from '../standards/boxes';

/** One thing to see to before the wall is closed, with the numbers of this job. */
export interface RoughInLine {
  readonly what: string;
  /** Section (from memory) or "common practice". */
  readonly why: string;
}

/** Make-up allowance at each end of a new cable, in: inside the box, and slack before it. Common practice. */
export const ALLOWANCE_IN = { inside: 8, slack: 6 } as const;
/** Waste that is pulled and not used. Common practice. */
const WASTE = 1.1;

/** Length to cut for a run, ft: the route, the make-up at both ends, a tenth more, rounded up to a foot. */
export const cutLengthFt = (lengthFt: number): number =>
  Math.ceil((lengthFt + (2 * (ALLOWANCE_IN.inside + ALLOWANCE_IN.slack)) / 12) * WASTE);

/** What to see to at a box. */
export function roughInBox(plan: Drawable, box: Box): RoughInLine[] {
  const { cables, devices } = inBox(plan.wiring, box.id);
  const fresh = cables.filter(({ existing }) => !existing);
  const lines: RoughInLine[] = [];
  const count = fresh.length === 1 ? 'the new cable' : `${fresh.length} new cables`;
  const names = cableNames(plan, box.id);
  const fished = new Set(plan.job.runs.flatMap(({ id, rough }) => (rough.fished ? [id] : [])));
  const stapled = fresh.filter(({ run }) => !fished.has(run));
  const held =
    stapled.length === 1
      ? fresh.length === 1
        ? 'the new cable'
        : `the ${names.get(stapled[0]?.id ?? '')?.title ?? 'cable'}`
      : `${stapled.length} new cables`;
  if (fresh.length > 0) {
    lines.push(
      {
        what: `Free conductor of ${count}: at least 6 in from the sheath and 3 in past the front; leave 7 to 8 in.`,
        why: '300.14; common practice',
      },
      { what: `Sheath of ${count}: at least ¼ in inside the box and past the clamp.`, why: '314.17' },
      ...(stapled.length === 0
        ? []
        : [
            box.gangs === 1 && !box.internalClamps && !isMetal(box.family)
              ? {
                  what: `Staple ${held} within 8 in of the box, measured along the sheath: one gang, no clamp.`,
                  why: '314.17(C)',
                }
              : { what: `Staple ${held} within 12 in of the box.`, why: '334.30' },
          ]),
      ...(stapled.length < fresh.length
        ? [
            {
              what: 'Fished cable needs no staples; a clamp holds it at the box.',
              why: '334.30(B)(1), 314.17',
            },
          ]
        : []),
      {
        what: `Mark: ${fresh.map(({ id }) => sure(names.get(id), `name for ${id}`).mark).join(', ')}.`,
        why: 'common practice',
      },
    );
  }
  if (!box.existing && devices.length > 0) {
    lines.push({
      what:
        box.family === 'cut-in'
          ? 'Cut-in box: look for a stud, a fire block and pipes first; wings tight to the board.'
          : 'Front edge flush with the finished wall; back of it at most ¼ in.',
      why: '314.20',
    });
    if (box.family === 'metal square')
      lines.push({ what: 'Ring or cover on the square box before the board goes on.', why: '314.25' });
    if (box.heightIn !== null)
      lines.push({ what: `Center ${box.heightIn} in above the floor.`, why: 'the plan' });
  }
  return lines;
}

/** What to see to along a new run; nothing for an existing one. */
export function roughInRun(plan: Drawable, run: Run): RoughInLine[] {
  const cables = plan.wiring.cables.filter((cable) => cable.run === run.id && !cable.existing);
  if (cables.length === 0) return [];
  const { job } = plan;
  const types = cables.map(({ type }) => type).join(' and ');
  const lines: RoughInLine[] = [
    {
      what: `Cut ${types} to ${cutLengthFt(run.lengthFt)} ft: ${run.lengthFt} ft run from ${placeName(job, run.from)} to ${placeName(job, run.to)} + 14 in at each end + 10 % waste.`,
      why: 'common practice',
    },
  ];
  // A cable fished through a finished, concealed space is neither stapled nor drilled for (334.30(B)(1)).
  if (run.rough.fished) return lines;
  const measured = run.route === 'given' || run.from === PANEL ? null : measureRun(job, run, run.route);
  const staples = measured?.staples ?? 2 + Math.max(Math.ceil(Math.max(run.lengthFt - 2, 0) / 4.5) - 1, 0);
  lines.push({
    what: `About ${staples} staples: 12 in from each box, then at most 4½ ft apart, over the flat face.`,
    why: '334.30',
  });
  if (measured) {
    lines.push({
      what: `${measured.holes} holes, in the middle of the stud: 1¼ in of wood to each edge, or a plate.`,
      why: '300.4(A)',
    });
  }
  if (cables.length > 1) {
    lines.push({ what: 'Two cables: no more than two through one sealed hole.', why: '334.80' });
  }
  return lines;
}
