import { deviceKind } from '../devices';
import { cableRow } from '../standards/cables';
import type { SeenBox, SeenCable, SeenDevice, SeenEnd, Sits, Survey } from '../model/survey';
import { freshId } from '../model/fresh-id';

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
  readings: [],
});

/** Readings are of the box as it was seen; what is seen differently needs new ones. */
const changed = (survey: Survey, box: string, make: (box: SeenBox) => SeenBox): Survey => ({
  ...survey,
  boxes: survey.boxes.map((one) => (one.id === box ? make(one) : one)),
  readings: [],
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

/** Where a picked conductor may be led. */
export type Toward =
  | { readonly to: 'conductor'; readonly cable: string; readonly insulation: SeenEnd['insulation'] }
  | { readonly to: 'terminal'; readonly device: string; readonly terminal: string }
  | { readonly to: 'capped' }
  | { readonly to: 'loose' }
  | { readonly to: 'box' };

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

export const withSeenTab = (
  survey: Survey,
  box: string,
  device: string,
  tab: string,
  broken: boolean,
): Survey =>
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
