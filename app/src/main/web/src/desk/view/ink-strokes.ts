import type { StrokesMessage } from "messages";
import { atom } from "nanostores";
import { SheetStrokes } from "rules";
import { oncePerFrame } from "../../shared/frames";
import { call } from "../../shared/http";
import type { Fills } from "../model/fills";
import type { Rgba } from "../model/looks";
import { placeOfStroke, strokeOf } from "../model/places";
import { fetchStrokes, type InkPlane, type StrokePlane } from "../model/planes";
import { NO_FILL, type Fill, type LayerState } from "../model/state";
import type { Point } from "../geometry/camera";
import type { SheetView } from "./sheet-view";

/** Ink is made wider or narrower so many rows of the sheet at a time. */
const BAND_ROWS = 512;

/** The strokes of the layer that is open; they are fetched when ink is first coloured, or about to be. */
export class InkStrokes {
  /** Counts up when other strokes are there. */
  readonly changed = atom(0);

  private plane: StrokePlane | undefined;
  private isWidened = false;
  private coming: Promise<void> | undefined;
  private beside: { layer: string; strokes: Promise<SheetStrokes> } | undefined;

  constructor(
    private readonly path: string,
    private layer: LayerState,
    private readonly ink: { get(): InkPlane },
    private readonly fills: Fills,
    private readonly view: SheetView,
  ) {
    fills.inked.listen((count) => count > 0 && void this.need());
    const widen = oncePerFrame(() => this.widen());
    fills.widened.listen(widen);
    this.changed.listen(widen);
  }

  /** Whether the ink of the layer is cut into strokes. */
  get areThere(): boolean {
    return this.layer.strokes !== null;
  }

  /** Whether they can be pointed at; if they are still to come, acts when they have. */
  areKnownOr(act: () => void): boolean {
    if (!this.plane && this.areThere) {
      void this.need().then(() => this.plane && act());
    }
    return this.plane !== undefined;
  }

  /** Whether there were more lines than are told apart. */
  get areLimited(): boolean {
    return this.layer.strokes?.isLimited ?? false;
  }

  /** How wide they are, in sheet pixels. */
  get widthPx(): number {
    return this.layer.strokes?.widthPx ?? 1;
  }

  /** Done when strokes can be coloured and pointed at; at once if there are none. */
  need(): Promise<void> {
    const { strokes } = this.layer;
    this.coming ??= strokes
      ? fetchStrokes(strokes.plane, strokes.count).then((plane) => {
          if (this.layer.strokes?.plane === strokes.plane) {
            this.plane = plane;
            this.view.showStrokes(plane);
            this.changed.set(this.changed.get() + 1);
          }
        })
      : Promise.resolve();
    return this.coming;
  }

  /** Shows ink as wide as is said; the planes stay as they are. */
  private widen(): void {
    const widths = this.fills.widths();
    if (widths.size === 0 && !this.isWidened) {
      return;
    }
    if (!this.plane) {
      void this.need();
      return;
    }
    this.isWidened = widths.size > 0;
    const ink = this.ink.get();
    this.view.showInk(this.isWidened ? { ...ink, density: this.shown(ink, widths) } : ink);
  }

  /** Band by band, so that little has to be copied at a time. */
  private shown(ink: InkPlane, widths: ReadonlyMap<number, Fill>): Uint8Array {
    const { width, height, density } = ink;
    const plane = this.plane!;
    const tenths = new Int32Array(plane.solids.length);
    widths.forEach((fill, stroke) => (tenths[stroke] = SheetStrokes.tenths(fill)));
    const most = tenths.reduce((a, b) => Math.max(a, Math.abs(b)), 0);
    const margin = Math.ceil((most / 20) * this.widthPx) + 1;
    const shown = density.slice();
    const columns = Int32Array.from({ length: width }, (_, x) =>
      Math.floor(((x + 0.5) * plane.width) / width),
    );
    for (let start = 0; start < height; start += BAND_ROWS) {
      const end = Math.min(height, start + BAND_ROWS);
      const [first, last] = [Math.max(0, start - margin), Math.min(height, end + margin)];
      const strokes = new Int32Array(width * (last - first));
      for (let y = first, to = 0; y < last; y++) {
        const row = Math.floor(((y + 0.5) * plane.height) / height) * plane.width;
        for (let x = 0; x < width; x++) {
          strokes[to++] = plane.numbers[row + columns[x]!]!;
        }
      }
      const drawn = density.subarray(first * width, last * width);
      const band = SheetStrokes.shownInk(width, drawn, strokes, tenths, this.widthPx);
      const own = (start - first) * width;
      shown.set(new Uint8Array(band.buffer, band.byteOffset + own, (end - start) * width), start * width);
    }
    return shown;
  }

  /** Goes on with a layer that took the place of the one before. */
  become(layer: LayerState): void {
    const isSame = layer.strokes?.plane === this.layer.strokes?.plane;
    this.layer = layer;
    if (isSame && this.plane && layer.strokes) {
      this.view.showStrokes(this.plane);
    } else if (!isSame) {
      this.plane = undefined;
      this.coming = undefined;
      this.view.dropStrokes();
      if (this.fills.inked.get() > 0) {
        void this.need();
      }
    }
    this.changed.set(this.changed.get() + 1);
  }

  /** What lies beside each stroke, by its number. */
  sides(): Promise<SheetStrokes> {
    if (this.beside?.layer !== this.fills.layer) {
      const strokes = this.fetchSides();
      this.beside = { layer: this.fills.layer, strokes };
      strokes.catch(() => (this.beside = undefined));
    }
    return this.beside!.strokes;
  }

  private async fetchSides(): Promise<SheetStrokes> {
    const { strokes } = await call<StrokesMessage>(`${this.path}/strokes`);
    const known = new SheetStrokes();
    for (const { inkPx, box, sides } of strokes) {
      known.add(
        inkPx,
        [box.xStart, box.yStart, box.xEndExclusive, box.yEndExclusive],
        sides.map(({ cell }) => cell),
        sides.map(({ share }) => share),
      );
    }
    return known;
  }

  /** The place of the stroke that the ink nearest to a place of the sheet belongs to; undefined if there is none within reach. */
  near(at: Point, reachPx: number): number | undefined {
    const { width, height, density, threshold } = this.ink.get();
    const reach = Math.ceil(reachPx);
    const [x, y] = [Math.floor(at.x), Math.floor(at.y)];
    let nearest = reachPx * reachPx + 1;
    let found: number | undefined;
    for (let row = Math.max(0, y - reach); row <= Math.min(height - 1, y + reach); row++) {
      for (let column = Math.max(0, x - reach); column <= Math.min(width - 1, x + reach); column++) {
        const away = (row - y) ** 2 + (column - x) ** 2;
        if (away < nearest && density[row * width + column]! >= threshold) {
          nearest = away;
          found = this.placeAt(column, row);
        }
      }
    }
    return found;
  }

  /** The stroke of a pixel of the sheet, as a place. */
  private placeAt(x: number, y: number): number | undefined {
    if (!this.plane) {
      return undefined;
    }
    const { width, height, numbers } = this.plane;
    const ink = this.ink.get();
    const column = Math.floor(((x + 0.5) * width) / ink.width);
    const row = Math.floor(((y + 0.5) * height) / ink.height);
    return placeOfStroke(numbers[row * width + column]!);
  }

  /** What the ink at a pixel of the sheet shows, its opacity being how much it covers there. */
  colourAt(x: number, y: number, density: number): Rgba {
    const place = this.fills.inked.get() > 0 && density > 0 ? this.placeAt(x, y) : undefined;
    if (place === undefined || this.fills.of(place) === NO_FILL) {
      return [0, 0, 0, density];
    }
    const [red, green, blue] = this.fills.inkColourOf(place);
    return [red, green, blue, SheetStrokes.coverage(density, this.plane!.solids[strokeOf(place)]!)];
  }
}
