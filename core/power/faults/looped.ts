import { isHome } from '../../job/model/design';
import { endId } from '../../job/model/keys';
import { cableRow } from '../../trade/standards/cables';
import { conductorOhms } from '../../trade/standards/conductors';
import { type Wired, type Placed, disturbed } from './fault';
import { Places } from './places';

/** A second way for a neutral beside its own cable: another cable's neutral joined at both of its ends. */
export function looped(wired: Wired): Placed[] {
  const places = new Places(wired);
  return wired.wiring.cables.flatMap((cable): Placed[] => {
    if (isHome(cable)) return [];
    const neutral = cable.conductors.find(({ role }) => role === 'neutral');
    const hot = cable.conductors.some(({ role }) => role === 'hot' || role === 'switched');
    if (!neutral || !hot) return [];
    const [a, b] = [cable.from, cable.to].map((box) => places.landed.get(endId(neutral.id, box)));
    if (a === undefined || b === undefined) return [];
    return [
      {
        key: cable.id,
        box: cable.to,
        points: [neutral.id],
        place: places.end(cable, neutral, cable.to),
        put: disturbed({
          kind: 'bridge',
          a,
          b,
          ohms: conductorOhms(cableRow(cable.type).gauge, cable.lengthFt),
        }),
      },
    ];
  });
}
