import type { ShadowText } from "messages";
import { atom } from "nanostores";
import { SheetShadows, type CellParts } from "rules";

export type Shadow = ShadowText;

/** The shadows and rims of the layer that is open, from back to front. */
export class Shadows {
  /** Counts up whenever they are others, or one is tried. */
  readonly changed = atom(0);
  /** What was sent and is not answered yet, by number: an answer to an earlier change knows nothing of a later one. */
  private readonly sent = new Map<number, Shadow>();
  private tried: Shadow | undefined;

  constructor(private kept: readonly Shadow[]) {}

  /** As the server has them. */
  get stored(): readonly Shadow[] {
    return this.kept;
  }

  /** As they are shown: with what was sent, and the one that is tried. */
  get shown(): readonly Shadow[] {
    const ahead = new Map(this.sent);
    if (this.tried) {
      ahead.set(this.tried.number, this.tried);
    }
    const known = this.kept.map((each) => ahead.get(each.number) ?? each);
    known.forEach(({ number }) => ahead.delete(number));
    return [...known, ...ahead.values()];
  }

  find(number: number | undefined): Shadow | undefined {
    return this.shown.find((each) => each.number === number);
  }

  take(shadows: readonly Shadow[]): void {
    this.kept = shadows;
    this.tell();
  }

  /** Shows shadows as they were sent. @returns what to do when the answer has come */
  send(shadows: readonly Shadow[]): () => void {
    this.tried = undefined;
    shadows.forEach((each) => this.sent.set(each.number, each));
    this.tell();
    return () =>
      shadows.forEach((each) => this.sent.get(each.number) === each && this.sent.delete(each.number));
  }

  /** Goes on with cells of which some were split in parts. */
  split(all: readonly CellParts[]): void {
    const cells = all.map(({ cell }) => cell);
    const counts = all.map(({ parts }) => parts.length);
    const parts = all.flatMap((each) => [...each.parts]);
    this.take(
      this.kept.map((shadow) => ({
        ...shadow,
        base: SheetShadows.baseWithParts(
          shadow.base,
          Int32Array.from(cells),
          Int32Array.from(counts),
          Int32Array.from(parts),
        ),
      })),
    );
  }

  /** Shows one that nobody has laid yet, or one as it might be; undefined ends it. */
  try(shadow: Shadow | undefined): void {
    if (shadow || this.tried) {
      this.tried = shadow;
      this.tell();
    }
  }

  private tell(): void {
    this.changed.set(this.changed.get() + 1);
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
