/** Union-find whose roots are the lowest members, so that numbers come out the same whatever the order of joining. */
export class Sets {
  private readonly parent: Int32Array;

  constructor(size: number) {
    this.parent = Int32Array.from({ length: size }, (_, i) => i);
  }

  join(a: number, b: number): void {
    const [rootA, rootB] = [this.find(a), this.find(b)];
    this.parent[Math.max(rootA, rootB)] = Math.min(rootA, rootB);
  }

  find(member: number): number {
    let at = member;
    while (this.parent[at] !== at) {
      this.parent[at] = this.parent[this.parent[at]!]!;
      at = this.parent[at]!;
    }
    return at;
  }

  numbered(): number[] {
    const numbers: number[] = [];
    let next = 0;
    for (let i = 0; i < this.parent.length; i++) {
      const root = this.find(i);
      numbers.push(root === i ? next++ : numbers[root]!);
    }
    return numbers;
  }
}
