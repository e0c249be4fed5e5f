import { atom } from "nanostores";
import type { Look } from "../model/looks";

/** The pictures of motifs, fetched when a fill first needs them; see MotifController on the server. */
export class MotifPictures {
  /** Counts up whenever one has come. */
  readonly came = atom(0);
  readonly pictures = new Map<string, ImageBitmap>();
  private readonly asked = new Set<string>();

  /** @param path of the motifs of the project */
  constructor(private readonly path: string) {}

  need(looks: readonly (Look | undefined)[]): void {
    looks.forEach((look) => look?.made.kind === "pattern" && void this.fetch(look.made.motif));
  }

  /** One that cannot be had is shown as an even mixture of its colours. */
  async fetch(name: string): Promise<void> {
    if (this.asked.has(name)) {
      return;
    }
    this.asked.add(name);
    const response = await fetch(`${this.path}/${name}.png`);
    if (response.ok) {
      const options: ImageBitmapOptions = { colorSpaceConversion: "none", premultiplyAlpha: "none" };
      this.pictures.set(name, await createImageBitmap(await response.blob(), options));
      this.came.set(this.came.get() + 1);
    }
  }
}
