/**
 * Arrays to work in. To make one costs more than what a small network works out in it, so that the next solution works in
 * those of the last: what was taken is good until the room is cleared.
 */
export class Room {
  private readonly whole = new Shelf((length) => new Int32Array(length));
  private readonly real = new Shelf((length) => new Float64Array(length));

  /** An array of zeros, at least of a length; what lies beyond it is not to be looked at. */
  ints(length: number): Int32Array {
    return this.whole.take(length);
  }
  floats(length: number): Float64Array {
    return this.real.take(length);
  }
  clear(): this {
    this.whole.taken = 0;
    this.real.taken = 0;
    return this;
  }
}

class Shelf<A extends Int32Array | Float64Array> {
  taken = 0;
  private readonly arrays: A[] = [];

  constructor(private readonly make: (length: number) => A) {}

  take(length: number): A {
    const place = this.taken++;
    const kept = this.arrays[place];
    if (kept && kept.length >= length) {
      kept.fill(0, 0, length);
      return kept;
    }
    // With some to spare: the next network may be larger.
    const made = this.make(Math.ceil(length * 1.5));
    this.arrays[place] = made;
    return made;
  }
}
