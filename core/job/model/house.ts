import { z } from 'zod';
import { EDITIONS } from '../../trade/standards/source';
import { Day } from './day';
import { Circuit, Design, Habits } from './design';
import { Id, Line, Name } from './fields';
import { say } from '../../base/words/model';

const Number = Circuit.shape.number;

/** A circuit of the panel, by its number. What a job says of its circuits is said once here for all jobs of the house. */
export const PanelCircuit = Circuit.pick({
  number: true,
  breakerA: true,
  leg: true,
  existingLoadVA: true,
  protection: true,
  serves: true,
  fresh: true,
}).extend({
  neutralWith: Number.nullable().default(null).describe('Number of the circuit it shares its neutral with'),
  tiedWith: Number.nullable()
    .default(null)
    .describe('Number of the circuit whose breaker opens with this one'),
  label: Line.max(200).default('').describe('Of the directory, by hand; empty: made from what the jobs know'),
});
export type PanelCircuit = z.infer<typeof PanelCircuit>;

/** Somebody who works on the house. */
export const Person = z.strictObject({ id: Id, name: Name, role: Line.max(80).default('') });
export type Person = z.infer<typeof Person>;

/** What the jobs of one house share: the site, its panel, who works there, the code that holds, the ways. */
export const House = z.strictObject({
  id: Id,
  name: Name,
  site: Design.shape.site,
  edition: z.enum(EDITIONS).describe('Of its new jobs'),
  amendments: Design.shape.amendments,
  habits: Habits.prefault({}).describe('Of its new jobs'),
  spaces: z.int().min(0).max(84).default(0).describe('Spaces of the panel; 0 where not known'),
  panel: z.array(PanelCircuit).max(84).default([]),
  people: z.array(Person).max(40).default([]),
  day: Day.prefault({}).describe('A day of its jobs together'),
  inspection: z.iso.date().nullable().default(null).describe('When the inspector comes'),
});
export type House = z.infer<typeof House>;

/** What a schema of shapes cannot see: a number or an id used twice, a partner that is not there. */
export function checkHouse(
  house: House,
): { readonly path: string; readonly message: string; readonly wayOut?: string }[] {
  const twice = (path: string, keys: readonly string[]) =>
    keys.flatMap((key, index) =>
      keys.indexOf(key) === index
        ? []
        : [
            {
              path: `${path}[${index}]`,
              message: say('references.usedTwice', { item: key }),
              wayOut: say('house.giveEachOwn'),
            },
          ],
    );
  const numbers = house.panel.map(({ number }) => number);
  const partners = house.panel.flatMap((circuit, index) =>
    (['neutralWith', 'tiedWith'] as const).flatMap((field) => {
      const partner = circuit[field];
      return partner === null || (partner !== circuit.number && numbers.includes(partner))
        ? []
        : [{ path: `panel[${index}].${field}`, message: say('house.noSuchCircuit', { number: partner }) }];
    }),
  );
  return [
    ...twice('panel', numbers),
    ...twice(
      'people',
      house.people.map(({ id }) => id),
    ),
    ...partners,
  ];
}
