import type {
  About,
  Done,
  EditMessageUnion,
  Mean,
  Outlook,
  PaletteState,
  PictureState,
  Printed,
} from "messages";
import { call, type Sent } from "../shared/http";

export type { About, CardState, Outlook, PaletteState, PictureState, SwatchState } from "messages";

/** One act on the palette. */
export type Edit = Sent<EditMessageUnion>;

/** The palette of one project. */
export class PaletteCalls {
  private readonly path: string;

  constructor(readonly project: string) {
    this.path = `/projects/${project}/palette`;
  }

  palette(): Promise<PaletteState> {
    return call(this.path);
  }

  make(edits: Edit[]): Promise<Done> {
    return call(`${this.path}/changes`, edits);
  }

  /** Asks the lead for edits of a locked card. */
  propose(edits: Edit[], reason: string): Promise<void> {
    return call(`${this.path}/proposals`, { edits, reason });
  }

  outlook(edits: Edit[]): Promise<Outlook> {
    return call(`${this.path}/outlook`, edits);
  }

  undo(): Promise<Done> {
    return call(`${this.path}/undo`, {});
  }

  about(hex: string): Promise<About> {
    return call(`${this.path}/about?colour=${encodeURIComponent(hex)}`);
  }

  /** The colour of shares of cyan, magenta, yellow and black, 0 to 1. */
  async printed([cyan, magenta, yellow, black]: readonly number[]): Promise<string | null> {
    const query = `cyan=${cyan}&magenta=${magenta}&yellow=${yellow}&black=${black}`;
    return (await call<Printed>(`${this.path}/printed?${query}`)).colour;
  }

  pictures(): Promise<PictureState[]> {
    return call(`${this.path}/pictures`);
  }

  /** The mean of a disc of a reference picture; null where nothing opaque lies. */
  async sample(picture: string, x: number, y: number, radius: number): Promise<string | null> {
    const place = `/projects/${this.project}/pictures/${picture}/mean?x=${x}&y=${y}&radius=${radius}`;
    return (await call<Mean>(place)).colour;
  }

  used(): Promise<string[]> {
    return call(`${this.path}/used`);
  }
}

export function describe(outlook: Outlook): string {
  const regions = outlook.sheets.reduce((sum, each) => sum + each.regions, 0);
  if (regions === 0) {
    return "Nothing wears it yet.";
  }
  const what = regions === 1 ? "1 region" : `${regions} regions`;
  const where = outlook.sheets.length === 1 ? "1 sheet" : `${outlook.sheets.length} sheets`;
  return `${what} on ${where} change.`;
}
