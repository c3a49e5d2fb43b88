import { drawBox } from '@core/wiring/geometry/box-drawing';
import type { BoxDrawing } from '@core/wiring/geometry/drawing';
import type { Design } from '@core/job/model/design';
import type { SeenBox, Survey } from '@core/job/model/survey';
import { endId, spliceId, type NetRole, type Wiring } from '@core/job/model/wiring';
import { isGround, isWhite } from '@core/trade/standards/cables';
import { conductorKey } from '@core/site/survey/far-side-wiring';
import { aliasOf, sceneWiring, spotEnd } from '@core/site/survey/scene';
import { cableName } from '@core/site/survey/words';
import type { Study } from '@core/site/survey/study';
import { say } from '~/words/find';

/** The opened box as it is seen, drawn like a planned one; its cables are called by what they are taken to be. */
export function drawSeen(job: Design, survey: Survey, box: SeenBox, study: Study | null): BoxDrawing {
  const wiring = sceneWiring(survey, null, 'as found');
  const roleOf = new Map<string, NetRole>();
  for (const { insulation, sits } of box.ends) {
    if (sits.at !== 'splice') continue;
    const role = isGround(insulation) ? 'ground' : isWhite(insulation) ? 'neutral' : 'hot';
    const id = spliceId(box.id, sits.splice);
    if (roleOf.get(id) !== 'hot') roleOf.set(id, role);
  }
  const taped = new Set(
    box.ends
      .filter((end) => end.taped)
      .map(({ cable, insulation }) => conductorKey(aliasOf(survey, cable), insulation)),
  );
  const drawn: Wiring = {
    ...wiring,
    cables: wiring.cables.map((cable) => ({
      ...cable,
      conductors: cable.conductors.map((one) => ({ ...one, reidentified: taped.has(one.id) })),
    })),
    splices: wiring.splices.map((splice) => ({ ...splice, role: roleOf.get(splice.id) ?? 'hot' })),
    tails: wiring.tails.map((tail) => {
      const role = tail.from.at === 'splice' ? (roleOf.get(tail.from.splice) ?? 'hot') : 'hot';
      return {
        ...tail,
        role,
        insulation: role === 'ground' ? 'bare' : role === 'neutral' ? 'white' : 'black',
      };
    }),
    caps: box.ends
      .filter(({ sits }) => sits.at === 'capped' || sits.at === 'loose')
      .map(({ cable, insulation }) => ({ box: box.id, end: spotEnd(survey, cable, insulation) })),
  };
  const names = new Map(
    box.cables.map(({ id, mark }) => {
      const guess = study?.believed[id];
      const sure = study !== null && study.verdict.tap !== 'not known yet';
      const role = guess === undefined ? mark : sure ? guess : say('seenDrawing.possibly', { guess });
      return [aliasOf(survey, id), { title: cableName(survey, id), role, mark }] as const;
    }),
  );
  const drawing = drawBox({ job, layout: { trees: new Map() }, wiring: drawn }, box.id, { names });
  // Whites are whites until a reading shows that they are neutrals.
  const proven = (splice: string): boolean =>
    box.ends.some(
      ({ cable, insulation, sits }) =>
        sits.at === 'splice' &&
        spliceId(box.id, sits.splice) === splice &&
        study?.verdict.conductors.some(
          (one) => one.cable === cable && one.insulation === insulation && one.is === 'neutral',
        ),
    );
  return {
    ...drawing,
    splices: drawing.splices.map((splice) =>
      splice.role === 'neutral' && !proven(splice.id)
        ? { ...splice, label: say('seenDrawing.whites', { count: splice.count }) }
        : splice.role === 'hot'
          ? { ...splice, label: say('seenDrawing.spliced', { count: splice.count }) }
          : splice,
    ),
  };
}

/** The seen conductor that a drawn end stands for; null for a tail. */
export function seenOfEnd(survey: Survey, box: SeenBox, end: string) {
  return (
    box.ends.find(
      ({ cable, insulation }) => endId(conductorKey(aliasOf(survey, cable), insulation), box.id) === end,
    ) ?? null
  );
}
