import { PANEL } from '../../job/model/design';
import { partKey, type PartKey } from '../../job/model/wiring';
import { deviceKind, wishKind } from '../../trade/devices';
import { consumers } from '../../wiring/layout/nets';
import { say } from '../../base/words/script';
import type { Wired } from '../../power/faults';
import { openedIn, type FieldTest, type Outcome } from './field-test';
import type { FieldReading } from './find-fault';
import type { Study } from './script';
import { TestWords } from './words';
import { agrees, LAMP } from './agrees';

/** Something wrong that is seen without an instrument, and the readings that it comes to. */
export interface Symptom {
  readonly id: string;
  readonly box: string;
  readonly says: string;
  readonly readings: readonly FieldReading[];
}

/** What the work can show of its mistakes to one who only looks: of each place, breaker and device. */
export function symptomsOf(wired: Wired, study: Study): Symptom[] {
  const words = new TestWords(wired);
  const at = new Map(study.tests.map(({ id }, index) => [id, index]));
  const read = (test: FieldTest, shows: Outcome): FieldReading => ({ test: test.id, shows });
  const found: Symptom[] = [];
  const add = (id: string, box: string, says: string, readings: readonly FieldReading[]) => {
    const fits = (shows: readonly Outcome[]) =>
      readings.every(({ test, shows: own }) => agrees(own, shows[at.get(test) ?? -1] ?? ''));
    if (readings.length === 0 || fits(study.sound) || !study.shows.some(fits)) return;
    found.push({ id, box, says, readings: readings.map((one) => ({ ...one, symptom: id })) });
  };
  const handles = (probe: FieldTest['probe']['read'], own: (test: FieldTest) => boolean) =>
    study.tests.filter((test) => test.probe.read === probe && test.stimulus.is === 'handles' && own(test));
  const parts = partsOf(wired);
  for (const part of parts) {
    const tests = handles(
      part.plug ? 'lights' : 'lit',
      ({ probe }) => 'part' in probe && probe.part === part.key,
    );
    const [lit, dark] = part.plug ? [LAMP.lit, LAMP.dark] : ['lit', 'dark'];
    const name = words.part(part.key);
    const burns = (test: FieldTest) => agrees(lit, study.sound[at.get(test.id) ?? -1] ?? '');
    add(
      `dead ${part.key}`,
      part.box,
      say('symptoms.dead', { name }),
      tests.map((test) => read(test, dark)),
    );
    const other = parts.find(({ device, key }) => device === part.device && key !== part.key);
    if (part.plug && other?.plug) {
      const works = handles('lights', ({ probe }) => 'part' in probe && probe.part === other.key);
      add(`other half ${part.key}`, part.box, say('symptoms.otherHalf', { name }), [
        ...tests.map((test) => read(test, dark)),
        ...works.map((test) => read(test, burns(test) ? lit : dark)),
      ]);
    }
    add(
      `on ${part.key}`,
      part.box,
      say('symptoms.on', { name }),
      tests.map((test) => read(test, lit)),
    );
    if (part.control === null)
      for (const { id, name: group } of wired.job.groups) {
        const leads = tests.filter((test) => groupOn(wired, study, id, test));
        if (leads.length === 0 || leads.length === tests.length) continue;
        add(
          `goes off ${part.key} ${id}`,
          part.box,
          say('symptoms.goesOff', { name, group }),
          tests.map((test) => read(test, leads.includes(test) ? lit : dark)),
        );
      }
    else
      for (const handle of handlesOf(wired, part.control))
        for (const position of [0, 1]) {
          const stands = (test: FieldTest) =>
            (test.stimulus.state.positions.get(handle.id) ?? 0) === position;
          if (handlesOf(wired, part.control).length < 2) continue;
          add(
            `only ${part.key} ${handle.id} ${position}`,
            part.box,
            say('symptoms.only', { name, place: words.box(handle.box), up: position === 1 }),
            tests.map((test) => read(test, stands(test) && burns(test) ? lit : dark)),
          );
        }
    if (!part.plug)
      add(
        `bright ${part.key}`,
        part.box,
        say('symptoms.bright', { name }),
        tests
          .filter(burns)
          .slice(0, 1)
          .map((test) => read(test, 'far too bright')),
      );
  }
  const watched = study.tests.filter(({ probe }) => probe.read === 'trips');
  const [rest] = watched;
  const said = new Set<string>();
  for (const test of watched)
    for (const outcome of new Set(study.shows.map((shows) => shows[at.get(test.id) ?? -1] ?? ''))) {
      const opened = openedIn(outcome);
      const loaded = test.stimulus.is === 'load';
      const key = `${outcome} ${loaded}`;
      // What trips at once also trips later: said for the first state only.
      if (!opened || said.has(key) || (test !== rest && said.has(`${outcome} false`))) continue;
      said.add(key);
      add(
        `trips ${outcome} ${test.id}`,
        PANEL,
        say('symptoms.trips', {
          opened: words.opened(opened),
          when: loaded ? 'load' : test === rest ? 'once' : 'handles',
          state: words.state(test),
        }),
        [read(test, outcome)],
      );
    }
  for (const test of study.tests)
    if (test.probe.read === 'opens')
      add(
        `no test ${test.probe.device}`,
        test.box,
        say('symptoms.noReset', { device: words.device(test.probe.device) }),
        [read(test, 'does nothing')],
      );
  return found;
}

interface SeenPart {
  readonly key: PartKey;
  readonly device: string;
  readonly box: string;
  readonly plug: boolean;
  readonly control: string | null;
}

function partsOf({ job, wiring }: Wired): SeenPart[] {
  const wired = new Map(wiring.devices.map(({ id, kind }) => [id, deviceKind(kind)]));
  return consumers(job).flatMap(({ device: { id, box, kind }, part, want }): SeenPart[] => {
    const own = (wired.get(id) ?? wishKind(kind)).parts.find((one) => one.id === part);
    return own?.does === 'power'
      ? [{ key: partKey(id, part), device: id, box, plug: own.plug, control: want.control }]
      : [];
  });
}

const handlesOf = ({ job }: Wired, group: string) =>
  job.devices.filter(({ wants }) =>
    Object.values(wants).some((want) => want.does === 'control' && want.group === group),
  );

/** True where what a group controls is on in the state of a test, in the house as planned. */
function groupOn(wired: Wired, study: Study, group: string, { stimulus }: FieldTest): boolean {
  const keys = new Set(
    partsOf(wired)
      .filter(({ control }) => control === group)
      .map(({ key }) => key),
  );
  return study.tests.some(
    ({ probe, stimulus: own }, index) =>
      own === stimulus &&
      (probe.read === 'lights' || probe.read === 'lit') &&
      keys.has(probe.part) &&
      (study.sound[index] === 'lit' || study.sound[index]?.startsWith('1') === true),
  );
}
