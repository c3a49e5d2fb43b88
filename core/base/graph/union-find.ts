/** Disjoint sets over the numbers 0 to size − 1, with path halving. */
export class UnionFind {
  private parent: Int32Array;

  constructor(size: number) {
    this.parent = Int32Array.from({ length: size }, (_, index) => index);
  }

  /** A fresh copy: joins made in it leave this one alone. */
  copy(): UnionFind {
    const twin = new UnionFind(0);
    twin.parent = this.parent.slice();
    return twin;
  }

  find(item: number): number {
    const { parent } = this;
    let at = item;
    for (;;) {
      const up = parent[at] ?? at;
      if (up === at) return at;
      const over = parent[up] ?? up;
      parent[at] = over;
      at = over;
    }
  }

  /** Joins two sets; false when they were one already. */
  join(a: number, b: number): boolean {
    const [first, second] = [this.find(a), this.find(b)];
    if (first === second) return false;
    this.parent[second] = first;
    return true;
  }
}
