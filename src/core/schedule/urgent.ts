/** A binary heap of places by their keys, the smallest first. Empty again when all of it was taken. */
export class Urgent {
  private readonly items: number[] = [];
  private readonly keys: number[] = [];

  push(item: number, key: number): void {
    let k = this.items.length;
    this.items.push(item);
    this.keys.push(key);
    while (k > 0) {
      const up = (k - 1) >> 1;
      if (this.keys[up]! <= key) break;
      this.items[k] = this.items[up]!;
      this.keys[k] = this.keys[up]!;
      k = up;
    }
    this.items[k] = item;
    this.keys[k] = key;
  }

  /** -1 when it is empty. */
  pop(): number {
    const top = this.items[0];
    if (top === undefined) return -1;
    const item = this.items.pop()!;
    const key = this.keys.pop()!;
    const size = this.items.length;
    if (size === 0) return top;
    let k = 0;
    for (;;) {
      let down = 2 * k + 1;
      if (down >= size) break;
      if (down + 1 < size && this.keys[down + 1]! < this.keys[down]!) down += 1;
      if (this.keys[down]! >= key) break;
      this.items[k] = this.items[down]!;
      this.keys[k] = this.keys[down]!;
      k = down;
    }
    this.items[k] = item;
    this.keys[k] = key;
    return top;
  }
}
