import type { ShadowText } from "messages";
import { atom } from "nanostores";

export type Shadow = ShadowText;

/** The shadows and rims of the layer that is open, from back to front. */
export class Shadows {
  /** Counts up whenever they are others, or one is tried. */
  readonly changed = atom(0);
  private tried: Shadow | undefined;

  constructor(private kept: readonly Shadow[]) {}

  /** As the server has them. */
  get stored(): readonly Shadow[] {
    return this.kept;
  }

  /** As they are shown: with the one that is tried. */
  get shown(): readonly Shadow[] {
    const { tried } = this;
    if (!tried) {
      return this.kept;
    }
    return this.kept.some(({ number }) => number === tried.number)
      ? this.kept.map((each) => (each.number === tried.number ? tried : each))
      : [...this.kept, tried];
  }

  find(number: number | undefined): Shadow | undefined {
    return this.shown.find((each) => each.number === number);
  }

  take(shadows: readonly Shadow[]): void {
    this.kept = shadows;
    this.tried = undefined;
    this.changed.set(this.changed.get() + 1);
  }

  /** Goes on with cells of which some were split in parts, which belong to the bases that their cells belong to. */
  split(all: readonly { readonly cell: number; readonly parts: ArrayLike<number> }[]): void {
    const partsOf = new Map(all.map(({ cell, parts }) => [String(cell), Array.from(parts, String)]));
    const withParts = ({ base, ...rest }: Shadow): Shadow => {
      const [kind, ...words] = base.split(" ");
      return {
        ...rest,
        base: [kind, ...words.flatMap((word) => [word, ...(partsOf.get(word) ?? [])])].join(" "),
      };
    };
    this.take(this.kept.map(withParts));
  }

  /** Shows one that nobody has laid yet, or one as it might be; undefined ends it. */
  try(shadow: Shadow | undefined): void {
    if (shadow || this.tried) {
      this.tried = shadow;
      this.changed.set(this.changed.get() + 1);
    }
  }
}

export function isRim({ form }: Pick<Shadow, "form">): boolean {
  return form.startsWith("rim");
}

/** Whether it is of the surface of a fill: without a swatch the paper shows through it. */
export function isSurface({ form }: Pick<Shadow, "form">): boolean {
  return form.startsWith("grain") || form.startsWith("soft");
}

/** What it is called. */
export function kindOf({ form }: Pick<Shadow, "form">): string {
  const kinds: Record<string, string> = { rim: "Rim", grain: "Grain", soft: "Soft edge" };
  return kinds[form.split(" ")[0]!] ?? "Shadow";
}
