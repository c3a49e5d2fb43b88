import { sure } from '../../base/sure';
import { cableNames } from '../../wiring/makeup/cable-names';
import { inBox } from '../../job/model/in-box';
import { PANEL, type Box, type Run } from '../../job/model/design';
import type { Drawable } from '../../wiring/plan';
import { capitalize } from '../../base/capitalize';
import { cableTypeName, placeName } from '../../job/model/called';
import { measureRun } from '../../job/rooms/route';
import { isMetal } from '../../trade/standards/boxes';
import { ALLOWANCE_IN, staplesAlong, WASTE_PERCENT } from '../../trade/standards/cable-run';
import { andList } from '../../base/words/lists';
import { say } from '../../base/words/roughin';

/** One thing to see to before the wall is closed, with the numbers of this job. */
export interface RoughInLine {
  readonly what: string;
  /** Section (from memory) or "common practice". */
  readonly why: string;
}

/** Length to cut for a run, ft: the route, the make-up at both ends, a tenth more, rounded up to a foot. */
export const cutLengthFt = (lengthFt: number): number =>
  Math.ceil((lengthFt + (2 * (ALLOWANCE_IN.inside + ALLOWANCE_IN.slack)) / 12) * (1 + WASTE_PERCENT / 100));

/** What to see to at a box. */
export function roughInBox(plan: Drawable, box: Box): RoughInLine[] {
  const { cables, devices } = inBox(plan.wiring, box.id);
  const fresh = cables.filter(({ existing, cord }) => !existing && !cord);
  const lines: RoughInLine[] = [];
  const count =
    fresh.length === 1 ? say('roughIn.newCable') : say('roughIn.newCables', { count: fresh.length });
  const names = cableNames(plan, box.id);
  const fished = new Set(plan.job.runs.flatMap(({ id, rough }) => (rough.fished ? [id] : [])));
  const stapled = fresh.filter(({ run }) => !fished.has(run));
  const held =
    stapled.length === 1
      ? fresh.length === 1
        ? say('roughIn.newCable')
        : say('roughIn.the', { stapled: names.get(stapled[0]?.id ?? '')?.title ?? stapled[0]?.type ?? '' })
      : say('roughIn.newCablesStapled', { stapledCount: stapled.length });
  if (fresh.length > 0) {
    lines.push(
      {
        what: say('roughIn.freeConductorLeast6From', { count }),
        why: say('roughIn.n30014CommonPractice'),
      },
      { what: say('roughIn.sheath', { count }), why: '314.17' },
      ...(stapled.length === 0
        ? []
        : [
            box.gangs === 1 && !box.internalClamps && !isMetal(box.family)
              ? {
                  what: say('roughIn.stapleWithin8BoxMeasured', { held }),
                  why: '314.17(C)',
                }
              : { what: say('roughIn.stapleWithin12Box', { held }), why: '334.30' },
          ]),
      ...(stapled.length < fresh.length
        ? [
            {
              what: say('roughIn.fished'),
              why: '334.30(B)(1), 314.17',
            },
          ]
        : []),
      {
        what: say('roughIn.mark', {
          fresh: fresh.map(({ id }) => sure(names.get(id), `name for ${id}`).mark).join(', '),
        }),
        why: say('roughIn.commonPractice'),
      },
    );
  }
  if (!box.existing && devices.length > 0) {
    lines.push({
      what: box.family === 'cut-in' ? say('roughIn.cutInBox') : say('roughIn.flush'),
      why: '314.20',
    });
    if (box.family === 'metal square') lines.push({ what: say('roughIn.ring'), why: '314.25' });
    if (box.heightIn !== null)
      lines.push({
        what: say('roughIn.centerAboveFloor', { heightIn: box.heightIn }),
        why: say('roughIn.plan'),
      });
  }
  return lines;
}

/** What to see to along a new run; nothing for an existing one. */
export function roughInRun(plan: Drawable, run: Run): RoughInLine[] {
  const cables = plan.wiring.cables.filter((cable) => cable.run === run.id && !cable.existing);
  if (cables.length === 0) return [];
  const { job } = plan;
  const [first] = cables;
  if (first?.cord)
    return [
      {
        what: say('roughIn.cordNotInWall', { cord: capitalize(cableTypeName(first)) }),
        why: '400.12, 400.14',
      },
    ];
  const types = andList(cables.map(({ type }) => type));
  const lines: RoughInLine[] = [
    {
      what: say('roughIn.cut', {
        types,
        cutLengthFt: cutLengthFt(run.lengthFt),
        lengthFt: run.lengthFt,
        from: placeName(job, run.from),
        to: placeName(job, run.to),
      }),
      why: say('roughIn.commonPractice'),
    },
  ];
  // A cable fished through a finished, concealed space is neither stapled nor drilled for (334.30(B)(1)).
  if (run.rough.fished) return lines;
  const measured = run.route === 'given' || run.from === PANEL ? null : measureRun(job, run, run.route);
  const staples = measured?.staples ?? staplesAlong(run.lengthFt);
  lines.push({
    what: say('roughIn.aboutStaples12FromEach', { staples }),
    why: '334.30',
  });
  if (measured) {
    lines.push({
      what: say('roughIn.holesMiddleStud1Wood', { holes: measured.holes }),
      why: '300.4(A)',
    });
  }
  if (cables.length > 1) {
    lines.push({ what: say('roughIn.sealedHole'), why: '334.80' });
  }
  return lines;
}
