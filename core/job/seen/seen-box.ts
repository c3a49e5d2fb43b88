import type { Draft } from 'immer';
import { z } from 'zod';
import { deviceKind } from '../../trade/devices';
import { cableRow } from '../../trade/standards/cables';
import {
  OUTSIDE,
  SEEN_KINDS,
  SeenCable,
  SeenEnd,
  Survey,
  type SeenBox,
  type SeenDevice,
  type Sits,
} from '../model/survey';
import { Id, Name } from '../model/fields';
import { freshId } from '../model/fresh-id';
import { typicalBox, TYPICAL_IDS, type TypicalId } from './typical';
import { withBreaker } from './other-breaker';

/* What one does with an opened box: add a cable, put a device in, lead a conductor somewhere. */

const LOOSE: Sits = { at: 'loose' };

/** A first survey of one box with a switch and nothing said yet. */
export const newSurvey = (id: string, name: string, breaker: string): Survey => ({
  id,
  name,
  breaker,
  breakerA: 15,
  listed: null,
  others: [],
  boxes: [{ id: `${id.slice(0, 30)}-box`, name, metal: false, cables: [], devices: [], ends: [], tails: [] }],
  target: `${id.slice(0, 30)}-box`,
  same: [],
  outside: [],
  proveAll: false,
  laidOut: null,
  readings: [],
});

/** Readings are of the box as it was seen; what is seen differently needs new ones. */
const changed = (survey: Survey, box: string, make: (box: SeenBox) => SeenBox): Survey => ({
  ...survey,
  boxes: survey.boxes.map((one) => (one.id === box ? make(one) : one)),
  readings: [],
  laidOut: null,
});

const taken = (survey: Survey) => [...survey.boxes.flatMap(({ cables, devices }) => [...cables, ...devices])];

/** A cable comes in; grounds go to the ground splice, the rest hang loose until said. */
export function withCable(
  survey: Survey,
  box: string,
  cable: Pick<SeenCable, 'type' | 'hasGround' | 'enters' | 'mark'>,
): Survey {
  const id = freshId(taken(survey), `cable ${taken(survey).length + 1}`);
  const insulated = cableRow(cable.type).insulated.map((insulation): SeenEnd => ({
    cable: id,
    insulation,
    sits: LOOSE,
    taped: false,
  }));
  const ground: SeenEnd[] = cable.hasGround
    ? [{ cable: id, insulation: 'bare', sits: { at: 'splice', splice: 'grounds' }, taped: false }]
    : [];
  return changed(survey, box, (one) => ({
    ...one,
    cables: [...one.cables, { id, ...cable }],
    ends: [...one.ends, ...insulated, ...ground],
  }));
}

export const withoutCable = (survey: Survey, box: string, cable: string): Survey => ({
  ...changed(survey, box, (one) => ({
    ...one,
    cables: one.cables.filter(({ id }) => id !== cable),
    ends: one.ends.filter((end) => end.cable !== cable),
  })),
  same: survey.same.filter(({ a, b }) => a !== cable && b !== cable),
});

/** A device in the box, its green screw on the ground splice. */
export function withDevice(survey: Survey, box: string, kind: SeenDevice['kind']): Survey {
  const id = freshId(taken(survey), kind);
  const grounded = deviceKind(kind).terminals.some((terminal) => terminal.id === 'ground');
  return changed(survey, box, (one) => ({
    ...one,
    devices: [...one.devices, { id, kind, brokenTabs: [] }],
    tails: [...one.tails, ...(grounded ? [{ splice: 'grounds', device: id, terminal: 'ground' }] : [])],
  }));
}

export const withoutDevice = (survey: Survey, box: string, device: string): Survey =>
  changed(survey, box, (one) => ({
    ...one,
    devices: one.devices.filter(({ id }) => id !== device),
    tails: one.tails.filter((tail) => tail.device !== device),
    ends: one.ends.map((end) =>
      end.sits.at === 'terminal' && end.sits.device === device ? { ...end, sits: LOOSE } : end,
    ),
  }));

const Conductor = SeenEnd.pick({ cable: true, insulation: true });

/** Where a picked conductor may be led. */
export const Toward = z.discriminatedUnion('to', [
  Conductor.extend({ to: z.literal('conductor') }),
  z.strictObject({ to: z.literal('terminal'), device: Id, terminal: z.string().max(40) }),
  z.strictObject({ to: z.enum(['capped', 'loose', 'box']) }),
]);
export type Toward = z.infer<typeof Toward>;

/**
 * Leads a conductor to where it goes: on a screw; together with another conductor, in its splice or a new one; a
 * splice led to a screw gets a tail there.
 */
export function led(
  survey: Survey,
  box: string,
  end: Pick<SeenEnd, 'cable' | 'insulation'>,
  toward: Toward,
): Survey {
  return changed(survey, box, (one) => {
    const is = (other: SeenEnd, named: Pick<SeenEnd, 'cable' | 'insulation'>) =>
      other.cable === named.cable && other.insulation === named.insulation;
    const own = one.ends.find((other) => is(other, end));
    const put = (sits: Sits, also: Pick<SeenEnd, 'cable' | 'insulation'> | null = null): SeenBox => ({
      ...one,
      ends: one.ends.map((other) =>
        is(other, end) || (also && is(other, also)) ? { ...other, sits } : other,
      ),
    });
    switch (toward.to) {
      case 'capped':
      case 'loose':
      case 'box':
        return put({ at: toward.to });
      case 'terminal': {
        const { device, terminal } = toward;
        if (own?.sits.at !== 'splice') return put({ at: 'terminal', device, terminal });
        const { splice } = own.sits;
        const tails = one.tails.filter((tail) => tail.device !== device || tail.terminal !== terminal);
        return { ...one, tails: [...tails, { splice, device, terminal }] };
      }
      case 'conductor': {
        const other = one.ends.find((each) => is(each, toward));
        if (!other || !own || other === own) return one;
        const splice =
          other.sits.at === 'splice'
            ? other.sits.splice
            : own.sits.at === 'splice'
              ? own.sits.splice
              : freshId(
                  one.ends.flatMap(({ sits }) => (sits.at === 'splice' ? [{ id: sits.splice }] : [])),
                  'splice',
                );
        return put({ at: 'splice', splice }, toward);
      }
    }
  });
}

/** The box holds what such a box mostly does, in place of what was entered of it. */
function asTypical(survey: Survey, box: string, typical: TypicalId): Survey {
  const others = taken({ ...survey, boxes: survey.boxes.filter(({ id }) => id !== box) });
  const gone = survey.boxes.find(({ id }) => id === box)?.cables.map(({ id }) => id) ?? [];
  return {
    ...changed(survey, box, (one) => ({ ...one, ...typicalBox(typical, (own) => freshId(others, own)) })),
    same: survey.same.filter(({ a, b }) => !gone.includes(a) && !gone.includes(b)),
  };
}

/** A band of tape put on or taken off; a tab found broken or whole. */
export const withTape = (
  survey: Survey,
  box: string,
  end: Pick<SeenEnd, 'cable' | 'insulation'>,
  taped: boolean,
): Survey =>
  changed(survey, box, (one) => ({
    ...one,
    ends: one.ends.map((other) =>
      other.cable === end.cable && other.insulation === end.insulation ? { ...other, taped } : other,
    ),
  }));

const withSeenTab = (survey: Survey, box: string, device: string, tab: string, broken: boolean): Survey =>
  changed(survey, box, (one) => ({
    ...one,
    devices: one.devices.map((other) =>
      other.id !== device
        ? other
        : {
            ...other,
            brokenTabs: broken
              ? [...new Set([...other.brokenTabs, tab])]
              : other.brokenTabs.filter((id) => id !== tab),
          },
    ),
  }));

/** One thing that is seen, or seen otherwise than it was noted. */
export const SeenChange = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('cable in'), box: Id, cable: SeenCable.omit({ id: true }) }),
  z.strictObject({ what: z.literal('cable out'), box: Id, cable: Id }),
  z.strictObject({ what: z.literal('device in'), box: Id, kind: z.enum(SEEN_KINDS) }),
  z.strictObject({ what: z.literal('device out'), box: Id, device: Id }),
  z.strictObject({ what: z.literal('conductor'), box: Id, end: Conductor, toward: Toward }),
  z.strictObject({ what: z.literal('tape'), box: Id, end: Conductor, taped: z.boolean() }),
  z.strictObject({
    what: z.literal('tab'),
    box: Id,
    device: Id,
    tab: z.string().max(40),
    broken: z.boolean(),
  }),
  z.strictObject({ what: z.literal('typical'), box: Id, typical: z.enum(TYPICAL_IDS) }),
  z.strictObject({ what: z.literal('metal'), box: Id, metal: z.boolean() }),
  z.strictObject({ what: z.literal('other end'), cable: Id, is: Id.nullable() }),
  z.strictObject({ what: z.literal('outside'), method: z.enum(OUTSIDE), seen: z.boolean() }),
  z.strictObject({ what: z.literal('name'), name: Name }),
  z.strictObject({ what: z.literal('breaker'), breaker: Survey.shape.breaker }),
  z.strictObject({ what: z.literal('breaker size'), breakerA: Survey.shape.breakerA.unwrap() }),
  z.strictObject({ what: z.literal('directory'), listed: Survey.shape.listed.unwrap() }),
  z.strictObject({ what: z.literal('other breakers'), others: Survey.shape.others.unwrap() }),
  z.strictObject({ what: z.literal('box opened'), id: Id, name: Name }),
  z.strictObject({ what: z.literal('target'), box: Id }),
]);
export type SeenChange = z.infer<typeof SeenChange>;

/** Notes it in a survey that is a draft. */
export function changeSeen(draft: Draft<Survey>, change: SeenChange): void {
  Object.assign(draft, withChange(draft, change));
}

/** The survey with one more thing noted. What changes the wiring voids the readings, which are of what was noted. */
export function withChange(survey: Survey, change: SeenChange): Survey {
  switch (change.what) {
    case 'cable in':
      return withCable(survey, change.box, change.cable);
    case 'cable out':
      return withoutCable(survey, change.box, change.cable);
    case 'device in':
      return withDevice(survey, change.box, change.kind);
    case 'device out':
      return withoutDevice(survey, change.box, change.device);
    case 'conductor':
      return led(survey, change.box, change.end, change.toward);
    case 'tape':
      return withTape(survey, change.box, change.end, change.taped);
    case 'tab':
      return withSeenTab(survey, change.box, change.device, change.tab, change.broken);
    case 'typical':
      return asTypical(survey, change.box, change.typical);
    case 'metal':
      return changed(survey, change.box, (box) => ({ ...box, metal: change.metal }));
    case 'other end': {
      const { cable, is } = change;
      const rest = survey.same.filter(
        ({ a, b }) => ![a, b].includes(cable) && (is === null || ![a, b].includes(is)),
      );
      return {
        ...survey,
        readings: [],
        laidOut: null,
        same: is === null ? rest : [...rest, { a: cable, b: is }],
      };
    }
    case 'outside': {
      const rest = survey.outside.filter((one) => one !== change.method);
      return { ...survey, outside: change.seen ? [...rest, change.method] : rest };
    }
    case 'name':
      return { ...survey, name: change.name };
    case 'breaker':
      return withBreaker(survey, change.breaker);
    case 'breaker size':
      return { ...survey, breakerA: change.breakerA };
    case 'directory':
      return { ...survey, listed: change.listed };
    case 'other breakers':
      return { ...survey, others: change.others };
    case 'box opened': {
      const { id, name } = change;
      const box = { id, name, metal: false, cables: [], devices: [], ends: [], tails: [] };
      return { ...survey, boxes: [...survey.boxes, box] };
    }
    case 'target':
      return { ...survey, target: change.box };
  }
}
