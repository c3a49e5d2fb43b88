import { consumers } from '../../wiring/layout/nets';
import type { Circuit, Design } from '../../job/model/design';
import type { House, PanelCircuit } from '../../job/model/house';

/*
 * The circuits of a job are those of the panel, found by number. What the panel says of one holds in every job of the
 * house; what a job changes on one is changed on the panel.
 */

/** What the panel says of a circuit, as a job has it. */
const SHARED = ['breakerA', 'leg', 'existingLoadVA', 'protection', 'serves', 'fresh'] as const;

/** What a job adds to circuits, VA, by their number. */
export type Adds = Readonly<Record<string, Circuit['others']>>;

/**
 * What a job adds to each circuit. What was there before it is in the existing load of the circuit already, and not
 * counted twice.
 */
export function addsOf(job: Design): Adds {
  const adds: Record<string, { VA: number; continuousVA: number }> = {};
  const number = new Map(job.circuits.map((circuit) => [circuit.id, circuit.number]));
  for (const { device, want } of consumers(job)) {
    const own = number.get(want.circuit);
    if (own === undefined || device.was || (want.watts ?? 0) === 0) continue;
    const sum = (adds[own] ??= { VA: 0, continuousVA: 0 });
    sum.VA += want.watts ?? 0;
    if (want.continuous) sum.continuousVA += want.watts ?? 0;
  }
  return adds;
}

/** What several jobs add together to the circuit of a number. */
export const addedBy = (jobs: readonly Adds[], number: string): Circuit['others'] =>
  jobs.reduce(
    (sum, adds) => {
      // A number is the panel's own word: it may be one that every object has.
      const own = Object.hasOwn(adds, number) ? adds[number] : undefined;
      return own ? { VA: sum.VA + own.VA, continuousVA: sum.continuousVA + own.continuousVA } : sum;
    },
    { VA: 0, continuousVA: 0 },
  );

/** A job with its circuits as the panel has them, and with what the other jobs add. The same job where nothing differs. */
export function withPanel(job: Design, house: House, others: readonly Adds[]): Design {
  const byNumber = new Map(house.panel.map((circuit) => [circuit.number, circuit]));
  const idOf = new Map(job.circuits.map(({ id, number }) => [number, id]));
  const partner = (number: string | null): string | null => idOf.get(number ?? '') ?? null;
  const circuits = job.circuits.map((circuit): Circuit => {
    const onPanel = byNumber.get(circuit.number);
    const own: Circuit = {
      ...circuit,
      ...(onPanel && {
        ...Object.fromEntries(SHARED.map((field) => [field, onPanel[field]])),
        multiwireWith: partner(onPanel.neutralWith),
        tiedWith: partner(onPanel.tiedWith),
      }),
      others: addedBy(others, circuit.number),
    };
    const same =
      SHARED.every((field) => own[field] === circuit[field]) &&
      own.multiwireWith === circuit.multiwireWith &&
      own.tiedWith === circuit.tiedWith &&
      own.others.VA === circuit.others.VA &&
      own.others.continuousVA === circuit.others.continuousVA;
    return same ? circuit : own;
  });
  return circuits.every((circuit, index) => circuit === job.circuits[index]) ? job : { ...job, circuits };
}

/** All jobs of a house as they stand in it: each with what the panel says and what the others add. */
export function inHouse(house: House, jobs: readonly Design[]): Design[] {
  const adds = jobs.map(addsOf);
  return jobs.map((job, own) =>
    withPanel(
      job,
      house,
      adds.filter((_, index) => index !== own),
    ),
  );
}

/** A circuit of a job as the panel has it. */
function onPanel(job: Design, circuit: Circuit): Omit<PanelCircuit, 'label'> {
  const numberOf = (id: string | null) => job.circuits.find((one) => one.id === id)?.number ?? null;
  const { number, breakerA, leg, existingLoadVA, protection, serves, fresh } = circuit;
  return {
    number,
    breakerA,
    leg,
    existingLoadVA,
    protection,
    serves,
    fresh,
    neutralWith: numberOf(circuit.multiwireWith),
    tiedWith: numberOf(circuit.tiedWith),
  };
}

/**
 * The house after a job was changed, or moved in (`before` null): a circuit that the panel does not have is added; of
 * one that it has only what the job changed is taken over. The same house where nothing changes.
 */
export function panelAfter(house: House, before: Design | null, after: Design): House {
  let panel = house.panel;
  const was = new Map(
    before?.circuits.map((circuit) => [circuit.number, onPanel(before, circuit)] as const) ?? [],
  );
  for (const circuit of after.circuits) {
    const now = onPanel(after, circuit);
    const there = panel.find(({ number }) => number === now.number);
    if (!there) {
      panel = [...panel, { ...now, label: '' }];
      continue;
    }
    const old = was.get(now.number);
    if (!old) continue;
    const changed = (Object.keys(now) as (keyof typeof now)[]).filter(
      (field) => now[field] !== old[field] && now[field] !== there[field],
    );
    if (changed.length === 0) continue;
    const next = { ...there, ...Object.fromEntries(changed.map((field) => [field, now[field]])) };
    panel = panel.map((one) => (one.number === now.number ? next : one));
  }
  return panel === house.panel ? house : { ...house, panel: mutual(panel) };
}

/** A partnership holds where both name each other: whoever was let go of lets go too. */
const mutual = (panel: readonly PanelCircuit[]): PanelCircuit[] =>
  panel.map((circuit) => {
    const names = (field: 'neutralWith' | 'tiedWith') =>
      panel.find(({ number }) => number === circuit[field])?.[field] === circuit.number
        ? circuit[field]
        : null;
    return { ...circuit, neutralWith: names('neutralWith'), tiedWith: names('tiedWith') };
  });
