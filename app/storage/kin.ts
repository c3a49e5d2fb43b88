import { grown, thingKey, type Thing } from '@core/job/merge/relation';
import { NO_ANCESTRY, type Ancestry } from '@core/job/model/ancestry';
import { liveQuery } from 'dexie';
import { whole, type SplitTapDatabase, type StoredKin } from './database';
import { DAY_MS } from './day';

/** Copies of which the content is kept, of one thing: the last that both sides had is among them. */
const MOST_COPIES = 4;
/** Hand-overs that are listed. */
const MOST_HANDS = 12;

const fresh = (of: string): StoredKin => ({ of, count: 0, from: [], copies: [], hands: [], back: null });

/** What copies of jobs and houses grew from: what was given and taken, by whom, and what it was. */
export class KinStore {
  constructor(private readonly db: SplitTapDatabase) {}

  /** What is known of a job or a house; empty where it was never given or taken. */
  async of(thing: Thing): Promise<StoredKin> {
    const of = thingKey(thing);
    return (await this.db.kin.get(of)) ?? fresh(of);
  }

  /** The content of a copy that was given or taken; null where it is not kept any more. */
  async copy(of: Thing, print: string): Promise<unknown> {
    const json = (await this.of(of)).copies.find((one) => one.print === print)?.json;
    return json === undefined ? null : JSON.parse(json);
  }

  /** A copy is given, `to` somebody where that is known: gives what its file says of itself. */
  given(of: Thing, copy: Copied, who: Pick<Ancestry, 'device' | 'by'>, to = ''): Promise<Ancestry> {
    return whole(this.db, async () => {
      const own = await whole(this.db, () => this.of(of));
      const at = new Date().toISOString();
      const count = own.count + 1;
      await this.db.kin.put({
        ...this.with(own, copy, at, [...own.from]),
        count,
        hands: handed(own, 'given', at, to),
      });
      // A file that is changed by another program goes on from what was given.
      return { ...NO_ANCESTRY, ...who, at, count, from: grown([...own.from], { print: copy.print, at }) };
    });
  }

  /** A copy of another device was taken in, beside or into what is here. */
  taken(of: Thing, copy: Copied, ancestry: Ancestry): Promise<void> {
    return whole(this.db, async () => {
      const own = await whole(this.db, () => this.of(of));
      const at = ancestry.at ?? new Date().toISOString();
      const from = grown([...own.from], ...ancestry.from);
      await this.db.kin.put({
        ...this.with(own, copy, at, from),
        hands: handed(own, 'taken', at, ancestry.by),
      });
    });
  }

  private with = (own: StoredKin, copy: Copied, at: string, from: Ancestry['from']): StoredKin => ({
    ...own,
    from: grown(from, { print: copy.print, at }),
    copies: [
      { print: copy.print, json: JSON.stringify(copy.value) },
      ...own.copies.filter(({ print }) => print !== copy.print),
    ].slice(0, MOST_COPIES),
  });

  /** What stood here before something came in, so that it can be taken back for a day. */
  async keepBack(of: Thing, back: NonNullable<StoredKin['back']>): Promise<void> {
    await this.db.kin.put({ ...(await this.of(of)), back });
  }

  /** The way back from what came in last; null where there was nothing, or its day is over. */
  async back(of: Thing): Promise<StoredKin['back']> {
    const { back } = await this.of(of);
    return back && Date.now() - Date.parse(back.at) < DAY_MS ? back : null;
  }

  /** Tells the way back, and tells it anew when something comes in or is taken back. Gives a way to stop. */
  watchBack(of: Thing, tell: (back: StoredKin['back']) => void): () => void {
    const watching = liveQuery(() => this.back(of)).subscribe({ next: tell, error: () => undefined });
    return () => watching.unsubscribe();
  }

  async dropBack(of: Thing): Promise<void> {
    await this.db.kin.put({ ...(await this.of(of)), back: null });
  }
}

/** A content with its fingerprint. */
export interface Copied {
  readonly print: string;
  readonly value: unknown;
}

const handed = (own: StoredKin, how: 'given' | 'taken', at: string, by: string): StoredKin['hands'] =>
  [{ how, at, by }, ...own.hands].slice(0, MOST_HANDS);
