import fc from 'fast-check';
import { z } from 'zod';

/** The part of a JSON schema that the command tables come to. */
interface Shape {
  readonly type?: string;
  readonly const?: unknown;
  readonly enum?: readonly unknown[];
  readonly pattern?: string;
  readonly format?: string;
  readonly minLength?: number;
  readonly minimum?: number;
  readonly exclusiveMinimum?: number;
  readonly maximum?: number;
  readonly exclusiveMaximum?: number;
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly items?: Shape;
  readonly prefixItems?: readonly Shape[];
  readonly properties?: Readonly<Record<string, Shape>>;
  readonly required?: readonly string[];
  readonly additionalProperties?: Shape | boolean;
  readonly anyOf?: readonly Shape[];
  readonly oneOf?: readonly Shape[];
}

/** Ids that a command may name, by the field that names them; `''` for any other field. */
export type Pools = Readonly<Record<string, readonly string[]>>;

/**
 * Values that a schema takes, drawn from the schema itself: whatever is added to it later is drawn too. Ids are taken
 * from the pools, so that most name something that is there. What a check beyond the shape refuses is left out.
 */
export function fromSchema<T>(schema: z.ZodType, pools: Pools): fc.Arbitrary<T> {
  const shape = z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any', reused: 'inline' }) as Shape;
  return anyOf(shape, '', pools)
    .map((value) => schema.safeParse(value))
    .filter((read) => read.success)
    .map((read) => read.data as T);
}

const WORDS = ['Shelf', 'Hatch', '1', '14', 'Plain words'];
const MOST_ITEMS = 2;

function anyOf(shape: Shape, field: string, pools: Pools): fc.Arbitrary<unknown> {
  if ('const' in shape) return fc.constant(shape.const);
  if (shape.enum) return fc.constantFrom(...shape.enum);
  const choices = shape.anyOf ?? shape.oneOf;
  if (choices) return fc.oneof(...choices.map((one) => anyOf(one, field, pools)));
  switch (shape.type) {
    case 'null':
      return fc.constant(null);
    case 'boolean':
      return fc.boolean();
    case 'integer':
    case 'number':
      return numberOf(shape);
    case 'string':
      return textOf(shape, field, pools);
    case 'array':
      return shape.prefixItems
        ? fc.tuple(...shape.prefixItems.map((one) => anyOf(one, field, pools)))
        : fc.array(anyOf(shape.items ?? {}, field, pools), {
            minLength: shape.minItems ?? 0,
            maxLength: Math.min(shape.maxItems ?? MOST_ITEMS, Math.max(MOST_ITEMS, shape.minItems ?? 0)),
          });
    case 'object':
      return objectOf(shape, pools);
    default:
      return fc.constant(null);
  }
}

function numberOf({ type, ...of }: Shape): fc.Arbitrary<number> {
  const min = of.minimum ?? (of.exclusiveMinimum === undefined ? -10 : of.exclusiveMinimum + 1);
  const max = of.maximum ?? (of.exclusiveMaximum === undefined ? min + 100 : of.exclusiveMaximum - 1);
  const [low, high] = [
    Math.ceil(min),
    Math.max(Math.ceil(min), Math.min(Math.floor(max), Math.ceil(min) + 400)),
  ];
  const whole = fc.integer({ min: low, max: high });
  return type === 'integer'
    ? whole
    : fc.oneof(
        whole,
        whole.map((n) => Math.min(n + 0.5, max)),
      );
}

function textOf(
  { pattern, format, minLength = 0 }: Shape,
  field: string,
  pools: Pools,
): fc.Arbitrary<string> {
  if (format === 'date-time')
    return fc.integer({ min: 0, max: 1e9 }).map((second) => new Date(1.7e12 + second * 1000).toISOString());
  const named = pools[field];
  if (named && named.length > 0) return fc.constantFrom(...named);
  // An id of whatever kind; any other pattern must fit one of the words.
  if (pattern !== undefined) {
    const fits = [...(pools[''] ?? []), ...WORDS].filter((word) => new RegExp(pattern, 'u').test(word));
    return fits.length > 0 ? fc.constantFrom(...fits) : fc.stringMatching(new RegExp(pattern, 'u'));
  }
  return fc.constantFrom(...(minLength > 0 ? WORDS : [...WORDS, '']));
}

function objectOf({ properties = {}, required = [], additionalProperties }: Shape, pools: Pools) {
  const own = Object.fromEntries(
    Object.entries(properties).map(([name, one]) => [name, anyOf(one, name, pools)] as const),
  );
  if (Object.keys(own).length === 0 && typeof additionalProperties === 'object')
    return fc.dictionary(
      fc.constantFrom(...(pools[''] ?? []), 'upper', 'lower', 'lamp'),
      anyOf(additionalProperties, '', pools),
      {
        maxKeys: MOST_ITEMS,
      },
    );
  return fc.record(own, { requiredKeys: [...required] });
}
