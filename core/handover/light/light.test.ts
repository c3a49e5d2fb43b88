import { describe, expect, test } from '@jest/globals';
import encodeQR from 'qr';
import decodeQR from 'qr/decode.js';
import jsQR from 'jsqr';
import { dice } from '../../base/dice';
import { patched, patchOf } from '../../base/merge/patch';
import { comparable } from '../../job/merge/job';
import { thingKey } from '../../job/merge/relation';
import type { Job } from '../../job/model/job';
import { draws } from '../../testing/draws';
import { worked } from '../../testing/diverge';
import { printOfJob } from '../files/preview';
import { demoHouse, demoJobs, demoWhole } from '../jobs/demo-house';
import type { Workshop } from '../files/workshop';
import { BLOCK_BYTES, Frames, fromBase45, Gathered, MOST_BLOCKS, toBase45 } from './frames';
import { readLight, writeLight } from './message';

const STARTS = demoJobs.flatMap(({ id }) => demoWhole(id) ?? []);
const copied = (job: Job) => {
  const { design, record } = comparable(job);
  return { print: printOfJob(job), value: { design, record } as unknown };
};
const HOUSE: Workshop = {
  houses: [demoHouse],
  photos: [],
  shop: null,
  jobs: STARTS.map((job) => ({ house: demoHouse.id, job })),
};
const framesOf = (bytes: Uint8Array): Frames => {
  const frames = Frames.of(bytes);
  if (!frames.ok) throw new Error(frames.problems[0]?.message);
  return frames.value;
};
const noise = (length: number, seed: number): Uint8Array => {
  const random = dice(seed);
  return Uint8Array.from({ length }, () => Math.floor(random() * 256));
};

/** The pixels of a code, as a camera has them: black and white, gray, a few at a module. */
function pixels(text: string, scale = 3): { data: Uint8ClampedArray; width: number; height: number } {
  const rows = encodeQR(text, 'raw', { border: 4, ecc: 'low' });
  const width = rows.length * scale;
  const data = new Uint8ClampedArray(width * width * 4);
  for (let y = 0; y < width; y++)
    for (let x = 0; x < width; x++) {
      const dark = rows[Math.floor(y / scale)]![Math.floor(x / scale)];
      data.set([dark ? 20 : 235, dark ? 20 : 235, dark ? 20 : 235, 255], (y * width + x) * 4);
    }
  return { data, width, height: width };
}

test('the examples of RFC 9285, 4.3 and 4.4; every text of bytes read back', () => {
  for (const [plain, coded] of [
    ['AB', 'BB8'],
    ['Hello!!', '%69 VD92EX0'],
    ['base-45', 'UJCLQE7W581'],
    ['ietf!', 'QED8WEX0'],
  ] as const) {
    expect(toBase45(new TextEncoder().encode(plain))).toBe(coded);
    expect(new TextDecoder().decode(fromBase45(coded)!)).toBe(plain);
  }
  for (let seed = 0; seed < 50; seed++)
    expect(fromBase45(toBase45(noise(seed, seed)))).toEqual(noise(seed, seed));
  // Too large for two bytes or one, a sign that is none, a length that none has.
  for (const wrong of ['GGW', ':::', '::', 'a', 'ABCD']) expect(fromBase45(wrong)).toBeNull();
});

describe('frames', () => {
  test('a code is read by two libraries, and says the same', () => {
    const frames = framesOf(noise(5000, 3));
    for (let frame = 0; frame < 6; frame++) {
      const text = frames.text(frame);
      const image = pixels(text);
      expect(jsQR(image.data, image.width, image.height)?.data).toBe(text);
      expect(decodeQR(image)).toBe(text);
    }
  });

  test(`${draws(30, 1000)} rows of whatever length, a third of the frames lost, some damaged, some twice, in whatever order`, () => {
    let rounds = 0;
    let blocks = 0;
    for (let seed = 0; seed < draws(30, 1000); seed++) {
      const random = dice(seed);
      const bytes = noise(1 + Math.floor(random() * 40_000), seed);
      const frames = framesOf(bytes);
      const gathered = new Gathered();
      const held: string[] = [];
      let read: Uint8Array | null = null;
      // The camera is held to it at whatever moment.
      const begun = Math.floor(random() * frames.count * 3);
      let frame = begun;
      for (; !read && frame < begun + frames.count * 12 + 60; frame++) {
        if (random() < 1 / 3) continue;
        const text = frames.text(frame);
        held.push(text);
        // Late ones, again ones, and some with a sign misread.
        const shown = random() < 0.1 ? held[Math.floor(random() * held.length)]! : text;
        const at = Math.floor(random() * shown.length);
        const misread =
          random() < 0.1
            ? `${shown.slice(0, at)}${shown[at] === '7' ? '8' : '7'}${shown.slice(at + 1)}`
            : shown;
        const seen = gathered.take(misread);
        if (seen.is === 'more') expect(seen.missing).toHaveLength(seen.of - seen.have);
        if (seen.is === 'whole') read = seen.bytes;
      }
      expect(read).toEqual(bytes);
      rounds += frame - begun;
      blocks += frames.count;
    }
    // What was shown for each block, with a third lost and a tenth damaged.
    process.stdout.write(`light: ${(rounds / blocks).toFixed(2)} frames shown a block\n`);
  });

  test('what is no frame, or one of another row, is told from one', () => {
    const gathered = new Gathered();
    for (const strange of ['', 'HTTPS://EXAMPLE', toBase45(noise(618, 1)), 'x'.repeat(927)])
      expect(gathered.take(strange)).toEqual({ is: 'not ours' });
    const [one, other] = [framesOf(noise(1300, 1)), framesOf(noise(1300, 2))];
    gathered.take(one.text(0));
    gathered.take(one.text(1));
    expect(gathered.take(other.text(0))).toMatchObject({ is: 'more', have: 1, of: 3 });
    expect(Frames.of(new Uint8Array(BLOCK_BYTES * MOST_BLOCKS + 1)).ok).toBe(false);
  });
});

/** A device that has no copy of anything. */
const none = () => Promise.resolve(null);

describe('a message', () => {
  test('the demo house whole: read as it was; how many frames it takes', async () => {
    const bytes = writeLight(HOUSE, new Map());
    const { count } = framesOf(bytes);
    process.stdout.write(`light: demo house ${bytes.length} bytes, ${count} frames\n`);
    const read = await readLight(bytes, none);
    expect(read.ok && read.value.workshop.houses).toEqual([demoHouse]);
    expect(read.ok && read.value.workshop.jobs.map(({ job }) => copied(job))).toEqual(STARTS.map(copied));
  });

  test(`${draws(20, 600)} divergences: what is new comes to the same over the copy that both have, and is short`, async () => {
    let [small, large] = [0, 0];
    for (let seed = 0; seed < draws(20, 600); seed++) {
      const base = STARTS[seed % STARTS.length]!;
      const now = worked(base, 'Mara', seed, 3);
      const shared = copied(base);
      const patch = patchOf(shared.value, copied(now).value);
      expect(patched(shared.value, JSON.parse(JSON.stringify(patch)) as never)).toEqual(copied(now).value);
      const workshop = { ...HOUSE, houses: [], jobs: [{ house: null, job: now }] };
      const of = `job ${now.design.id}`;
      const bytes = writeLight(workshop, new Map([[of, shared]]));
      small += bytes.length;
      large += writeLight(workshop, new Map()).length;
      const read = await readLight(bytes, (thing, print) =>
        Promise.resolve(thingKey(thing) === of && print === shared.print ? shared.value : null),
      );
      expect(read.ok && read.value.workshop.jobs.map(({ job }) => copied(job))).toEqual([copied(now)]);
      // Without the copy nothing is guessed.
      expect(await readLight(bytes, none)).toMatchObject({ ok: false, problems: [{ path: now.design.id }] });
    }
    expect(small).toBeLessThan(large / 3);
  });

  test('bytes that are no message are refused: cut, changed, swollen', async () => {
    const bytes = writeLight(HOUSE, new Map());
    expect((await readLight(bytes.slice(0, bytes.length / 2), none)).ok).toBe(false);
    const swollen = bytes.slice();
    new DataView(swollen.buffer).setUint32(0, 0xffffffff);
    expect((await readLight(swollen, none)).ok).toBe(false);
    for (let seed = 0; seed < 40; seed++) {
      const random = dice(seed);
      const changed = bytes.slice();
      const at = 4 + Math.floor(random() * (changed.length - 4));
      changed[at] = (changed[at] ?? 0) ^ (1 + Math.floor(random() * 255));
      const read = await readLight(changed, none);
      // A sign of a name may be another: then it is another name, and the row's checksum has told before.
      if (read.ok) expect(read.value.workshop.jobs).toHaveLength(HOUSE.jobs.length);
    }
    for (let seed = 0; seed < 20; seed++)
      expect((await readLight(noise(50 + seed, seed), none)).ok).toBe(false);
  });
});
