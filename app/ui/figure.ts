import { say } from '~/words/ui';
/** Parts of one as they are typed. */
const FRACTIONS: Readonly<Record<string, number>> = {
  '¼': 1 / 4,
  '½': 1 / 2,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
};

/** Words that may stand after a figure, by the unit of the field. */
const UNIT_WORDS: Readonly<Record<string, readonly string[]>> = {
  ft: ['ft', 'feet', 'foot', "'", '′'],
  in: ['in', 'inch', 'inches', '"', '″'],
  'in³': ['in³', 'in3', 'cu in'],
  W: ['w', 'watt', 'watts'],
  VA: ['va'],
  A: ['a', 'amp', 'amps'],
  V: ['v', 'volt', 'volts'],
  Ω: ['ω', 'ohm', 'ohms'],
  h: ['h', 'hour', 'hours'],
};

/**
 * A figure as it is said on site, in the unit of its field: `18'6"`, `18 ft 6 in`, `18 1/2`, `18½`, `1500 W`, `1.5 kW`,
 * `1,500`. NaN where it is none.
 */
export function readFigure(text: string, unit: string): number {
  const said = text.trim().toLowerCase().replace(/[’‘]/g, "'").replace(/[“”]/g, '"');
  if (said === '') return Number.NaN;
  const both = /^(.+?)\s*(?:'|′|ft|feet|foot)\s*-?\s*(.+?)\s*(?:"|″|in|inch|inches)$/.exec(said);
  if (both && (unit === 'ft' || unit === 'in')) {
    const [feet, inches] = [mixed(both[1] ?? ''), mixed(both[2] ?? '')];
    return unit === 'ft' ? feet + inches / 12 : feet * 12 + inches;
  }
  const [, figure = said, word = ''] = /^(.*?[\d¼½¾⅛⅜⅝⅞⅓⅔])\s*([^\d¼½¾⅛⅜⅝⅞⅓⅔]*)$/.exec(said) ?? [];
  const value = mixed(figure);
  const after = word.trim();
  const isWord = (one: string) => (UNIT_WORDS[one] ?? [one.toLowerCase()]).includes(after);
  if (after === '' || isWord(unit)) return value;
  if (unit === 'ft' && isWord('in')) return value / 12;
  if (unit === 'in' && isWord('ft')) return value * 12;
  if ((unit === 'W' || unit === 'VA') && after === `k${unit.toLowerCase()}`) return value * 1000;
  return Number.NaN;
}

/** A whole number, a decimal, a fraction, or a whole number and a fraction. */
function mixed(text: string): number {
  const sign = FRACTIONS[text.slice(-1)];
  if (sign !== undefined) {
    const whole = text.slice(0, -1).trim();
    return (whole === '' ? 0 : plain(whole)) + sign;
  }
  const parts = /^(?:(\d+)[\s-]+)?(\d+)\s*\/\s*(\d+)$/.exec(text);
  if (parts) {
    const [, whole = '0', over = '', under = ''] = parts;
    return Number(under) === 0 ? Number.NaN : Number(whole) + Number(over) / Number(under);
  }
  return plain(text);
}

const plain = (text: string): number =>
  /^\d{1,3}(,\d{3})+(\.\d+)?$/.test(text)
    ? Number(text.replace(/,/g, ''))
    : /^-?(\d+\.?\d*|\.\d+)$/.test(text)
      ? Number(text)
      : Number.NaN;

/** Why a figure is not taken, with what would be; null where it is. */
export function figureProblem(text: string, unit: string, min: number, max: number): string | null {
  const value = readFigure(text, unit);
  const example =
    unit === 'ft' ? say('figure.exampleFeet') : unit === 'in' ? say('figure.exampleInches') : '1500';
  if (Number.isNaN(value)) return say('figure.notFigureWriteLike', { unit, example });
  if (value < min) return say('figure.least', { min, unit });
  if (value > max) return say('figure.most', { max, unit });
  return null;
}
