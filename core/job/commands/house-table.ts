import { Day } from '../model/day';
import { Id } from '../model/fields';
import { freshId } from '../model/fresh-id';
import { House, PanelCircuit, Person } from '../model/house';
import { say } from '../../base/words/commands';
import { entryOn } from './entry';
import { someOf } from './some-of';
import { find } from './upkeep';

const on = entryOn<House>();
const PARTNERS = ['neutralWith', 'tiedWith'] as const;

/** What a user can change of a house: each with its fields, its name, its change. */
export const HOUSE_COMMANDS = [
  on(
    'set house',
    { change: someOf(House.omit({ id: true, panel: true, people: true, habits: true, day: true })) },
    say('houseTable.house'),
    (house, { change }) => {
      Object.assign(house, change);
    },
  ),
  on('set house day', { change: someOf(Day) }, say('houseTable.day'), (house, { change }) => {
    Object.assign(house.day, change);
  }),
  on(
    'set house habits',
    { change: someOf(House.shape.habits.unwrap()) },
    say('houseTable.habits'),
    (house, { change }) => {
      Object.assign(house.habits, change);
    },
  ),
  on(
    'add panel circuit',
    { circuit: PanelCircuit },
    ({ circuit }) => say('houseTable.circuitAdded', { number: circuit.number }),
    (house, { circuit }) => {
      house.panel.push(circuit);
    },
  ),
  /** Partners name each other: whom a circuit lets go lets go too. */
  on(
    'set panel circuit',
    { number: PanelCircuit.shape.number, change: someOf(PanelCircuit.omit({ number: true })) },
    ({ number }) => say('houseTable.circuit', { number }),
    (house, { number, change }) => {
      const circuit = house.panel.find((one) => one.number === number);
      if (!circuit) return;
      Object.assign(circuit, change);
      for (const field of PARTNERS) {
        const partner = change[field];
        if (partner === undefined) continue;
        for (const other of house.panel) {
          if (other.number === partner) other[field] = number;
          else if (
            other[field] === number ||
            (partner !== null && other !== circuit && other[field] === partner)
          )
            other[field] = null;
        }
      }
    },
    ({ number }, house) =>
      house.panel.some((one) => one.number === number)
        ? null
        : { path: 'number', message: say('houseTable.noCircuit', { number }) },
  ),
  on(
    'remove panel circuit',
    { number: PanelCircuit.shape.number },
    ({ number }) => say('houseTable.circuitRemoved', { number }),
    (house, { number }) => {
      house.panel = house.panel.filter((one) => one.number !== number);
      for (const other of house.panel)
        for (const field of PARTNERS) if (other[field] === number) other[field] = null;
    },
  ),
  on(
    'add person',
    { person: Person.omit({ id: true }) },
    ({ person }) => say('houseTable.personAdded', { name: person.name }),
    (house, { person }) => {
      house.people.push({ ...person, id: freshId(house.people, person.name) });
    },
  ),
  on(
    'set person',
    { person: Id, change: someOf(Person.omit({ id: true })) },
    say('houseTable.person'),
    (house, { person, change }) => {
      Object.assign(find(house.people, person), change);
    },
  ),
  on('remove person', { person: Id }, say('houseTable.personRemoved'), (house, { person }) => {
    house.people = house.people.filter(({ id }) => id !== person);
  }),
] as const;
