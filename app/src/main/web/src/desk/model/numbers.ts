/** Reads whole numbers written in 7-bit groups, low groups first (unsigned LEB128). */
export class NumberReader {
  private at = 0;

  constructor(private readonly bytes: Uint8Array) {}

  number(): number {
    let value = 0;
    for (let shift = 0; ; shift += 7) {
      const next = this.bytes[this.at++];
      if (next === undefined) {
        throw new Error("A plane ends too early.");
      }
      value |= (next & 0x7f) << shift;
      if (next < 0x80) {
        return value >>> 0;
      }
    }
  }

  /** The sign is folded into the lowest bit. */
  signed(): number {
    const folded = this.number();
    return (folded >>> 1) ^ -(folded & 1);
  }

  rest(): Uint8Array {
    return this.bytes.subarray(this.at);
  }
}
