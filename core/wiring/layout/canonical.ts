import { groupBy } from '../../base/group-by';
import { PANEL, type Device, type Design } from '../../job/model/design';
import { roadsOf, walk } from '../../job/model/trees';

/**
 * The job with its lists in an order that neither ids nor the order of the file decide: boxes from the panel outward,
 * the rest by what a user sees of it (names, numbers, gangs, lengths). Where two answers are equally good the first is
 * taken, so this is what makes the answer the same under other ids and in another order.
 */
export function inSpineOrder(job: Design): Design {
  const parents = walk(PANEL, roadsOf(job.runs), () => true);
  const feet = (box: string): number => {
    let sum = 0;
    for (let step = parents.get(box), left = 1000; step && left > 0; step = parents.get(step.from), left--)
      sum += step.run.lengthFt;
    return sum;
  };
  const number = new Map(job.circuits.map((circuit) => [circuit.id, circuit.number]));
  const group = new Map(job.groups.map(({ id, name }) => [id, name]));
  const contents = new Map<string, string[]>();
  const wanted = (device: Device): string =>
    Object.entries(device.wants)
      .map(([part, want]) =>
        want.does === 'control'
          ? `${part} ${group.get(want.group) ?? ''}`
          : `${part} ${number.get(want.circuit) ?? ''} ${want.control === null ? '' : (group.get(want.control) ?? '')} ${want.via === null ? '' : 'load'} ${want.watts ?? ''}`,
      )
      .sort()
      .join(';');
  const looks = new Map(
    job.devices.map((one) => {
      const keys: readonly (string | number)[] = [one.gang, one.kind, one.ratingA, wanted(one)];
      return [one, { keys, text: keys.join(' ') }] as const;
    }),
  );
  for (const [{ box }, { text }] of looks) {
    const own = contents.get(box);
    if (own) own.push(text);
    else contents.set(box, [text]);
  }
  const inGroup = groupBy(job.devices, ({ wants }) => [
    ...new Set(
      Object.values(wants).flatMap((want) => (want.does === 'control' ? want.group : (want.control ?? []))),
    ),
  ]);
  const boxes = sorted(job.boxes, ({ id, name, family, gangs, volumeIn3 }) => [
    parents.get(id)?.depth ?? Number.MAX_SAFE_INTEGER,
    feet(id),
    name,
    family,
    gangs,
    volumeIn3,
    (contents.get(id) ?? []).sort().join('|'),
  ]);
  const rank = new Map([[PANEL, -1], ...boxes.map(({ id }, index) => [id, index] as const)]);
  const at = (box: string) => rank.get(box) ?? boxes.length;
  return {
    ...job,
    boxes,
    circuits: sorted(job.circuits, (one) => [one.number, one.leg, one.breakerA, one.protection]),
    groups: sorted(job.groups, ({ id, name }) => [
      name,
      (inGroup.get(id) ?? [])
        .map((one) => `${at(one.box)} ${looks.get(one)?.text ?? ''}`)
        .sort()
        .join('|'),
    ]),
    runs: sorted(job.runs, ({ from, to, lengthFt, existing, circuits }) => [
      Math.min(at(from), at(to)),
      Math.max(at(from), at(to)),
      existing ?? '',
      lengthFt,
      (circuits ?? [])
        .map((id) => number.get(id) ?? '')
        .sort()
        .join(' '),
    ]),
    devices: sorted(job.devices, (one) => [at(one.box), ...(looks.get(one)?.keys ?? [])]),
  };
}

/** A stable sort by several values, one after the other. */
function sorted<T>(items: readonly T[], keys: (item: T) => readonly (string | number)[]): T[] {
  const keyed = items.map((item) => ({ item, key: keys(item) }));
  keyed.sort((a, b) => {
    for (const [index, one] of a.key.entries()) {
      const other = b.key[index] ?? '';
      if (one === other) continue;
      return typeof one === 'number' && typeof other === 'number'
        ? one - other
        : String(one) < String(other)
          ? -1
          : 1;
    }
    return 0;
  });
  return keyed.map(({ item }) => item);
}
