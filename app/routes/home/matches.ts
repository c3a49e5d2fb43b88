import { wishName, WISH_KINDS } from '@core/trade/devices';
import { say } from '~/words/home';

/** What a job can be found by. */
export interface Findable {
  readonly name: string;
  readonly says?: string;
  readonly house: string;
  readonly circuits: readonly string[];
  readonly places: readonly string[];
  readonly kinds: readonly string[];
}

const NAMES: Readonly<Record<string, string>> = Object.fromEntries(
  WISH_KINDS.map((kind) => [kind, wishName(kind)]),
);
const plain = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '');

/** True where every word that was typed is found in its name, house, places, circuits or devices. */
export function matches(job: Findable, typed: string): boolean {
  const text = plain(
    [
      job.name,
      job.says ?? '',
      job.house,
      ...job.places,
      ...job.circuits.map((number) => say('matches.circuit', { number })),
      ...job.kinds.map((kind) => NAMES[kind] ?? ''),
    ].join(' \n '),
  );
  return plain(typed)
    .split(/\s+/)
    .filter(Boolean)
    .every((word) =>
      /^\d+$/.test(word) ? new RegExp(`(^|\\D)${word}(\\D|$)`).test(text) : text.includes(word),
    );
}
