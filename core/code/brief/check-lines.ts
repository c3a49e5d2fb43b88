import { wishKind } from '../../trade/devices';
import type { Box, Design } from '../../job/model/design';
import type { Brief, PlanLine, PlanSymbol } from '../../job/model/record';
import type { ShownOutcome } from '../../wiring/plan';
import { SIDE_NAME } from '../../job/model/names';
import { FAMILY_NAME } from '../../trade/standards/names';
import { andList } from '../../base/words/lists';
import { symbolsOf, symbolText } from './symbols';
import { say } from '../../base/words/brief';

/** How a line of the plan stands against the work: R06, a difference means rework or a stamped change. */
export interface LineCheck {
  readonly line: PlanLine;
  readonly state: 'met' | 'not met' | 'open';
  /** What the work has instead, or what is missing to decide. */
  readonly why: string;
}

/** Checks every line of the plan against the job and, where it compiles, its wiring. */
export const checkPlanLines = (
  { lines }: Pick<Brief, 'lines'>,
  job: Design,
  outcome: ShownOutcome,
): LineCheck[] => lines.map((line) => checkLine(job, outcome, line));

/** A plan that was stamped anew with the work as it is asks for nothing else. */
function checkLine(job: Design, outcome: ShownOutcome, line: PlanLine): LineCheck {
  const check = asDrawn(job, outcome, line);
  return check.state === 'met' || !line.stamped
    ? check
    : { line, state: 'met', why: say('checkLines.stamped', { on: line.stamped, has: check.why }) };
}

function asDrawn(job: Design, outcome: ShownOutcome, line: PlanLine): LineCheck {
  const { about } = line;
  const met = (good: boolean, why: string): LineCheck => ({ line, state: good ? 'met' : 'not met', why });
  const open = (why: string): LineCheck => ({ line, state: 'open', why });
  switch (about.kind) {
    case 'cable': {
      if (!job.runs.some(({ id }) => id === about.run)) return open(say('checkLines.runGone'));
      if (!outcome.ok) return open(say('checkLines.notPlanned'));
      const types = outcome.plan.wiring.cables.filter(({ run }) => run === about.run).map(({ type }) => type);
      return met(
        types.length === 1 && types[0] === about.type,
        say('checkLines.runTakes', { types: andList(types) }),
      );
    }
    case 'box': {
      const box = job.boxes.find(({ id }) => id === about.box);
      if (!box) return open(say('checkLines.boxGone'));
      const large = about.volumeIn3 === null || box.volumeIn3 >= about.volumeIn3;
      const has = hasRing(box);
      return met(
        box.family === about.family && large && (about.ring === null || about.ring === has),
        about.ring === null
          ? say('checkLines.box', { family: FAMILY_NAME[box.family], volumeIn3: box.volumeIn3 })
          : say('checkLines.boxAndRing', {
              family: FAMILY_NAME[box.family],
              volumeIn3: box.volumeIn3,
              has,
            }),
      );
    }
    case 'order': {
      if (!job.boxes.some(({ id }) => id === about.box)) return open(say('checkLines.boxGone'));
      const has = symbolsOf(job, outcome, about.box);
      const same =
        has.length === about.symbols.length &&
        about.symbols.every((symbol, index) => fits(symbol, has[index]));
      return met(
        same,
        has.length === 0
          ? say('checkLines.boxEmpty')
          : say('checkLines.leftRight', { has: has.map(symbolText).join(', ') }),
      );
    }
    case 'ground pin':
      return met(
        job.habits.groundPin === about.pin,
        say('checkLines.groundPins', { groundPin: SIDE_NAME[job.habits.groundPin] }),
      );
    case 'height': {
      const height = job.boxes.find(({ id }) => id === about.box)?.heightIn ?? null;
      if (!job.boxes.some(({ id }) => id === about.box)) return open(say('checkLines.boxGone'));
      if (height === null) return open(say('checkLines.heightBoxNotSaid'));
      return met(isHigh(height, about.heightIn), say('checkLines.boxHeight', { height }));
    }
    case 'all heights': {
      const boxes = boxesOf(job, about.of);
      if (boxes.length === 0) return open(say('checkLines.noneOfThem'));
      const off = boxes.filter(({ heightIn }) => heightIn !== null && !isHigh(heightIn, about.heightIn));
      if (off.length > 0)
        return met(
          false,
          say('checkLines.otherHeights', {
            boxes: andList(
              off.map(({ name, heightIn }) => say('checkLines.boxAt', { name, heightIn: heightIn ?? 0 })),
            ),
          }),
        );
      const unsaid = boxes.filter(({ heightIn }) => heightIn === null);
      return unsaid.length > 0
        ? open(say('checkLines.heightsNotSaid', { boxes: andList(unsaid.map(({ name }) => name)) }))
        : met(true, say('checkLines.allAtHeight', { count: boxes.length, heightIn: about.heightIn }));
    }
    case 'note':
      return about.met === null
        ? open(say('checkLines.decidedEye'))
        : met(about.met, about.met ? say('checkLines.markedMet') : say('checkLines.markedNotMet'));
  }
}

/** A ring or an extension with a volume of its own, or the ring of a square box. */
const hasRing = ({ ringIn3, family, rough }: Box): boolean =>
  ringIn3 > 0 || (family === 'metal square' && rough.ring);

/** Half an inch is as near as a box is set. */
const isHigh = (heightIn: number, asked: number): boolean => Math.abs(heightIn - asked) <= 0.5;

/** Boxes with a switch or a receptacle on the wall. */
export const boxesOf = (job: Design, of: 'switches' | 'receptacles'): Box[] =>
  job.boxes.filter(
    ({ id, reach }) =>
      reach === 'open' &&
      job.devices.some(({ box, kind }) => {
        const { receptacle, yoke } = wishKind(kind);
        return box === id && yoke && receptacle === (of === 'receptacles');
      }),
  );

/** A `receptacle` on the plan is met by any that takes a plug; the others by what they name. */
const fits = (asked: PlanSymbol, has: PlanSymbol | undefined): boolean =>
  asked === has || (asked === 'receptacle' && (has === 'duplex' || has === 'half-switched'));
