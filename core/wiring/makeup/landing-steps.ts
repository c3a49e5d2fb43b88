import { deviceKind, type Terminal } from '../../trade/devices';
import { inBox } from '../../job/model/in-box';
import { endsOf, terminalsOf } from '../../job/model/lookup';
import { terminalId, type EndId, type Tail, type WiredDevice } from '../../job/model/wiring';
import type { Drawable } from '../plan';
import { cableRow, isGround } from '../../trade/standards/cables';
import { colorName } from './cable-names';
import { capitalize } from '../../base/capitalize';
import type { Step } from './step';
import { say } from '../../base/words/makeup';

/** Ground first, then neutral, then hot; leads are spliced and have no step here. */
const ORDER: readonly Terminal['screw'][] = ['green', 'silver', 'brass', 'dark'];

/** What lands on the screws and clamps of one device. */
export function landingSteps(
  plan: Drawable,
  box: string,
  device: WiredDevice,
  endName: (end: EndId) => string,
  prefix: string,
): Step[] {
  const { tails, terminations, splices } = inBox(plan.wiring, box);
  const spliceName = (tail: Tail): string => {
    if (tail.from.at !== 'splice' || isGround(tail.insulation)) return '';
    const { splice: id } = tail.from;
    const own = splices.find((one) => one.id === id);
    // Two splices whose pigtails look alike: which one it comes from is what matters.
    const alike = tails.some(
      (other) =>
        other.from.at === 'splice' &&
        other.from.splice !== id &&
        !other.lead &&
        other.insulation === tail.insulation &&
        other.role === tail.role,
    );
    const [end] = own?.ends ?? [];
    return alike
      ? say('landingSteps.fromSplice', {
          end: end
            ? say('landingSteps.withThe', { endName: endName(end) })
            : say('landingSteps.of', { connector: own?.connector ?? 1 }),
        })
      : '';
  };
  return [...deviceKind(device.kind).terminals]
    .filter(({ screw }) => ORDER.includes(screw))
    .sort((a, b) => ORDER.indexOf(a.screw) - ORDER.indexOf(b.screw))
    .flatMap((terminal): Step[] => {
      const id = terminalId(device.id, terminal.id);
      const tail = tails.find(({ to }) => to === id);
      const jumper = tails.find(({ from }) => from.at === 'terminal' && from.terminal === id);
      const termination = terminations.find((one) => one.terminal === id);
      const wire = tail ?? jumper;
      if (!wire && !termination) return [];
      const color = wire ? colorName(wire.insulation) : '';
      const what = termination
        ? endName(termination.end)
        : wire && wire.from.at === 'terminal'
          ? say('landingSteps.jumper', { color })
          : wire?.uncut != null
            ? say('landingSteps.leftLong', { end: endName(wire.uncut) })
            : say('landingSteps.pigtail', { color, wire: wire ? spliceName(wire) : '' });
      const gauge = termination ? gaugeOf(plan, termination.end) : wire?.gauge;
      return [
        {
          id: `land ${id}`,
          stage: 'land',
          title: `${prefix}${capitalize(what)} → ${terminal.name}`,
          detail: [
            purposeOf(plan, device, terminal.id),
            // It is cut once, at the end where it starts.
            ...(jumper && !tail
              ? [say('landingSteps.cutJumper', { gauge: jumper.gauge, lengthIn: jumper.lengthIn })]
              : []),
          ]
            .filter((one) => one !== '')
            .join(' · '),
          why: whyLanded(plan, terminal, device, gauge ?? 14),
          touches: [id, ...(wire ? [wire.id] : []), ...(termination ? [termination.end] : [])],
        },
      ];
    });
}

const gaugeOf = ({ wiring }: Drawable, end: EndId): number => {
  const cable = endsOf(wiring).get(end)?.cable;
  return cable ? cableRow(cable.type).gauge : 14;
};

function whyLanded({ job }: Drawable, terminal: Terminal, device: WiredDevice, gauge: number): string {
  if (terminal.screw === 'green') return say('landingSteps.order');
  if (terminal.clamp) return say('landingSteps.clamp');
  const plain = !deviceKind(device.kind).protection;
  if (job.habits.pushIn === 'allowed' && gauge === 14 && plain) return say('landingSteps.pushedIn');
  return say('landingSteps.loop');
}

/** "lower half always on", "both halves switched by Porch": what a hot screw is for, over the tabs that stay whole. */
function purposeOf({ job, wiring }: Drawable, device: WiredDevice, terminal: string): string {
  const wants = job.devices.find(({ id }) => id === device.id)?.wants ?? {};
  const kind = deviceKind(device.kind);
  const own = terminalsOf(wiring).get(terminalId(device.id, terminal))?.terminal.id;
  if (own === undefined) return '';
  const joined = new Set([
    own,
    ...kind.tabs
      .filter(({ id, joins }) => !device.brokenTabs.includes(id) && joins.includes(own))
      .flatMap(({ joins }) => joins),
  ]);
  const fed = kind.parts.filter((part) => part.does === 'power' && joined.has(part.hot));
  const said = fed.flatMap((part) => {
    const want = wants[part.id];
    if (want?.does !== 'power') return [];
    const group = job.groups.find(({ id }) => id === want.control);
    return [
      {
        name: part.name,
        does: group ? say('landingSteps.switched', { group: group.name }) : say('landingSteps.alwaysOn'),
      },
    ];
  });
  const [first] = said;
  return kind.halves && said.length > 1 && first && said.every(({ does }) => does === first.does)
    ? say('landingSteps.bothHalves', { does: first.does })
    : said.map(({ name, does }) => `${name} ${does}`).join(', ');
}
