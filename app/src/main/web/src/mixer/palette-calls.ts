import { call } from "../shared/http";

export interface SwatchState {
  readonly id: string;
  readonly name: string;
  readonly part: string;
  readonly note: string;
  readonly colour: string;
  readonly paint: string;
  readonly follows: string | null;
  readonly how: string | null;
}

export interface CardState {
  readonly id: string;
  readonly name: string;
  readonly subject: string;
  readonly neutral: boolean;
  readonly loose: boolean;
  readonly locked: boolean;
  readonly swatches: SwatchState[];
}

export interface PaletteState {
  readonly cards: CardState[];
  readonly undoable: string | null;
  /** Whether it is the lead who asks. */
  readonly isLead: boolean;
}

/** One act on the palette; see EditMessage on the server. */
export type Edit =
  | { kind: "ADD_CARD"; card?: string; name: string; subject: string }
  | { kind: "NAME_CARD"; card: string; name: string; subject: string }
  | { kind: "LOCK_CARD"; card: string; locked: boolean }
  | {
      kind: "ADD";
      card?: string;
      swatch?: string;
      name: string;
      part?: string;
      colour?: string;
      follows?: string;
      paint?: string;
      at?: number;
    }
  | {
      kind: "CHANGE";
      swatch: string;
      name?: string;
      part?: string;
      note?: string;
      colour?: string;
      paint?: string;
    }
  | { kind: "MOVE"; swatch: string; card: string; at?: number }
  | { kind: "REMOVE"; swatch: string; instead: string };

export interface Outlook {
  /** By swatch: what it would become, or `none`. */
  readonly colours: Record<string, string>;
  readonly sheets: { sheet: string; title: string; regions: number }[];
}

export interface About {
  readonly name: string;
  readonly printable: string | null;
  readonly isPrintable: boolean;
  /** Shares of ink, 0 to 1; null without a print condition. */
  readonly inks: { cyan: number; magenta: number; yellow: number; black: number } | null;
}

export interface PictureState {
  readonly id: string;
  readonly title: string;
  readonly widthPx: number;
  readonly heightPx: number;
}

/** The palette of one project. */
export class PaletteCalls {
  private readonly path: string;

  constructor(readonly project: string) {
    this.path = `/projects/${project}/palette`;
  }

  palette(): Promise<PaletteState> {
    return call(this.path);
  }

  make(edits: Edit[]): Promise<{ id: string; words: string }> {
    return call(`${this.path}/changes`, edits);
  }

  /** Asks the lead for edits of a locked card. */
  propose(edits: Edit[], reason: string): Promise<void> {
    return call(`${this.path}/proposals`, { edits, reason });
  }

  outlook(edits: Edit[]): Promise<Outlook> {
    return call(`${this.path}/outlook`, edits);
  }

  undo(): Promise<{ words: string }> {
    return call(`${this.path}/undo`, {});
  }

  about(hex: string): Promise<About> {
    return call(`${this.path}/about?colour=${encodeURIComponent(hex)}`);
  }

  /** The colour of shares of cyan, magenta, yellow and black, 0 to 1. */
  async printed([cyan, magenta, yellow, black]: readonly number[]): Promise<string | null> {
    const query = `cyan=${cyan}&magenta=${magenta}&yellow=${yellow}&black=${black}`;
    return (await call<{ colour: string | null }>(`${this.path}/printed?${query}`)).colour;
  }

  pictures(): Promise<PictureState[]> {
    return call(`${this.path}/pictures`);
  }

  /** The mean of a disc of a reference picture; null where nothing opaque lies. */
  async sample(picture: string, x: number, y: number, radius: number): Promise<string | null> {
    const place = `/projects/${this.project}/pictures/${picture}/mean?x=${x}&y=${y}&radius=${radius}`;
    return (await call<{ colour: string | null }>(place)).colour;
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
