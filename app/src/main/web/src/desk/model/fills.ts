import { atom } from "nanostores";
import { FillLook, FillTexts } from "rules";
import { Looks, hexOf, packed, rgbaOf, unpacked, type Rgba } from "./looks";
import { madeOf, swatchesOf, wearing } from "./made";
import {
  isCell,
  isShadow,
  isStroke,
  isWidth,
  placeOfShadow,
  placeOfStroke,
  shadowOf,
  strokeOf,
  strokeOfWidth,
} from "./places";
import { NO_FILL, type Card, type Fill, type LayerState, type Swap, type Swatch } from "./state";

const CLEAR: Rgba = [0, 0, 0, 0];
const BLACK: Rgba = [0, 0, 0, 255];

/**
 * The fills of one layer as they stand on screen, and the colours that they resolve to. What wears a fill is a *place*: a cell, a stroke or a shadow; see places.ts.
 */
export class Fills {
  /** How many cells wear a fill. */
  readonly filled = atom(0);
  /** How many strokes wear a fill. */
  readonly inked = atom(0);
  /** Counts up with every change of the width of a stroke. */
  readonly widened = atom(0);
  /** Counts up with every change of a cell or stroke. */
  readonly painted = atom(0);

  /** Those of several colours. */
  readonly looks = new Looks((swatch) => {
    const hex = this.triedInLooks.get(swatch);
    const colour = hex ? rgbaOf(hex) : this.shown(swatch);
    return colour && this.eyes ? this.eyes(colour) : colour;
  });

  private triedInLooks: ReadonlyMap<Fill, string> = new Map();
  private lit: ReadonlyMap<Fill, Rgba> = new Map();
  private readonly tried = new Map<Fill, Rgba>();
  private readonly triedCells = new Map<number, Rgba>();
  private fillOfCell: Fill[];
  private fillOfStroke: Fill[];
  /** Of shadows and of widths. */
  private readonly fillOfOther = new Map<number, Fill>();
  private readonly swatches = new Map<Fill, Swatch>();
  private readonly cards = new Map<
    Fill,
    { id: string; name: string; subject: string; isEditable: boolean }
  >();
  private readonly colours = new Map<Fill, Rgba>([[NO_FILL, CLEAR]]);
  private hidden = new Set<number>();
  private shownAs: ((cell: number) => Rgba) | undefined;
  private eyes: ((colour: Rgba) => Rgba) | undefined;
  private listener: (place: number) => void = () => {};
  /** What the atoms are told when all places of a change are set: each has listeners that look at the whole sheet. */
  private readonly counted = { filled: 0, inked: 0, widened: 0, painted: 0 };

  constructor(
    public layer: string,
    cellCount: number,
    strokeCount: number,
    cards: Card[],
  ) {
    this.fillOfCell = new Array<Fill>(cellCount).fill(NO_FILL);
    this.fillOfStroke = new Array<Fill>(strokeCount).fill(NO_FILL);
    this.learn(cards);
  }

  /** Takes over the cards as they are now; whatever wears their swatches is painted again. */
  learn(cards: readonly Card[]): void {
    this.swatches.clear();
    this.cards.clear();
    this.colours.clear();
    this.colours.set(NO_FILL, CLEAR);
    for (const { id, name, subject, neutral, loose, swatches } of cards) {
      for (const swatch of swatches) {
        this.swatches.set(swatch.id, swatch);
        this.cards.set(swatch.id, { id, name, subject, isEditable: !neutral && !loose });
        this.colours.set(swatch.id, rgbaOf(swatch.colour));
      }
    }
    this.paintAll();
  }

  /** Shows swatches in the colours that they have under a light; others, and all that is tried on, as drawn. */
  underLight(colours: Record<Fill, string>): void {
    this.lit = new Map(Object.entries(colours).map(([fill, hex]) => [fill, rgbaOf(hex)]));
    this.paintAll();
  }

  /** Shows swatches, and perhaps some cells whatever they wear, in other colours for now; nothing given: as they are. */
  tryOn(colours: Record<Fill, string>, cells: readonly number[] = [], onCells?: string): void {
    this.tried.clear();
    Object.entries(colours).forEach(([fill, hex]) =>
      this.tried.set(fill, hex === NO_FILL ? CLEAR : rgbaOf(hex)),
    );
    this.triedCells.clear();
    this.triedInLooks = new Map();
    if (onCells) {
      cells.forEach((cell) => this.triedCells.set(cell, rgbaOf(onCells)));
    }
    this.paintAll();
  }

  /**
   * Shows cells in colours of their own for now, whatever they wear.
   *
   * @param inLooks swatches that gradients and patterns show in other colours meanwhile
   */
  tryOnCells(colours: ReadonlyMap<number, string>, inLooks: ReadonlyMap<Fill, string> = new Map()): void {
    this.tried.clear();
    this.triedCells.clear();
    this.triedInLooks = inLooks;
    colours.forEach((hex, cell) => this.triedCells.set(cell, rgbaOf(hex)));
    this.paintAll();
  }

  /** Shows cells in colours that have nothing to do with their fills; undefined: as they are. */
  showAs(shownAs: ((cell: number) => Rgba) | undefined): void {
    this.shownAs = shownAs;
    this.paintAll();
  }

  /** Shows these cells, and no others, as if they had no fill. */
  hide(cells: readonly number[]): void {
    if (cells.length > 0 || this.hidden.size > 0) {
      this.hidden = new Set(cells);
      this.paintAll();
    }
  }

  /** Shows every colour changed in one way, as other eyes see it. */
  seeThrough(eyes: ((colour: Rgba) => Rgba) | undefined): void {
    this.eyes = eyes;
    this.paintAll();
  }

  private paintAll(): void {
    this.looks.renew();
    this.places().forEach((place) => this.listener(place));
    [...this.fillOfOther.keys()].filter(isShadow).forEach((place) => this.listener(place));
    this.counted.painted++;
    this.tellCounts();
  }

  private tellCounts(): void {
    this.filled.set(this.counted.filled);
    this.inked.set(this.counted.inked);
    this.widened.set(this.counted.widened);
    this.painted.set(this.counted.painted);
  }

  get cellCount(): number {
    return this.fillOfCell.length;
  }

  /** All cells, then all strokes, but no shadows. */
  places(): number[] {
    return [...this.fillOfCell.keys(), ...this.strokes()];
  }

  /** All strokes, as places. */
  strokes(): number[] {
    return Array.from(this.fillOfStroke, (_, stroke) => placeOfStroke(stroke));
  }

  /** Calls back for each place whose colour changes. */
  onChange(listener: (place: number) => void): void {
    this.listener = listener;
  }

  /** Goes on with other cells and strokes, none of which wears a fill yet. */
  become(layer: string, cellCount: number, strokeCount: number): void {
    this.layer = layer;
    this.fillOfCell = new Array<Fill>(cellCount).fill(NO_FILL);
    this.fillOfStroke = new Array<Fill>(strokeCount).fill(NO_FILL);
    this.fillOfOther.clear();
    this.looks.clear();
    this.counted.inked = 0;
    this.counted.filled = 0;
    this.tellCounts();
  }

  /** Goes on with more cells: those that were there keep their fills, the others wear none yet. */
  grow(layer: string, cellCount: number): void {
    this.layer = layer;
    while (this.fillOfCell.length < cellCount) {
      this.fillOfCell.push(NO_FILL);
    }
  }

  /** Takes over what the server knows. */
  load(state: LayerState): void {
    const wanted = new Map<number, Fill>();
    for (const [fill, places] of Object.entries(state.fills)) {
      places.forEach((place) => wanted.set(place, fill));
    }
    const others = [...wanted.keys()].filter((place) => !isCell(place) && !isStroke(place));
    const places = [...this.places(), ...new Set([...others, ...this.fillOfOther.keys()])];
    this.setAll(places.map((place) => [place, wanted.get(place) ?? NO_FILL] as const));
  }

  /** By cell; not to be changed. */
  get all(): readonly Fill[] {
    return this.fillOfCell;
  }

  of(place: number): Fill {
    const fill = isCell(place)
      ? this.fillOfCell[place]
      : isStroke(place)
        ? this.fillOfStroke[strokeOf(place)]
        : this.fillOfOther.get(place);
    return fill ?? NO_FILL;
  }

  /** The cells, strokes and shadows that take a colour from a swatch. */
  using(swatch: Fill): number[] {
    return [...this.places(), ...this.fillOfOther.keys()].filter((place) =>
      swatchesOf(this.of(place)).includes(swatch),
    );
  }

  /** What laying one swatch wherever another is worn, in whatever kind of fill, would lay. */
  replacing(swatch: Fill, by: Fill): Map<Fill, number[]> {
    const laid = new Map<Fill, number[]>();
    for (const place of this.using(swatch)) {
      const fill = wearing(this.of(place), (each) => (each === swatch ? by : each));
      laid.set(fill, [...(laid.get(fill) ?? []), place]);
    }
    return laid;
  }

  /** A number for what each cell wears, the same for the same fill; 0 for no fill. */
  numbers(): Int32Array {
    const numberOf = new Map<Fill, number>([[NO_FILL, 0]]);
    return Int32Array.from(this.fillOfCell, (fill) => {
      const number = numberOf.get(fill) ?? numberOf.size;
      numberOf.set(fill, number);
      return number;
    });
  }

  /** The places that wear a fill; of no fill the cells alone, since all ink is black that wears none. */
  wearing(fill: Fill): number[] {
    const places = fill === NO_FILL ? [...this.fillOfCell.keys()] : this.places();
    return places.filter((place) => this.of(place) === fill);
  }

  /** What is said of the widths of strokes, by their numbers; those that are as they were drawn are left out. */
  widths(): Map<number, Fill> {
    const widths = [...this.fillOfOther].filter(([place, fill]) => isWidth(place) && fill !== NO_FILL);
    return new Map(widths.map(([place, fill]) => [strokeOfWidth(place), fill]));
  }

  /** The cells that wear something. */
  filledCells(): number[] {
    return [...this.fillOfCell.keys()].filter((cell) => this.of(cell) !== NO_FILL);
  }

  /** The colour of the swatch that a shadow wears, packed; below 0: none. */
  shadowColour(shadow: number): number {
    const worn = this.worn(placeOfShadow(shadow));
    return worn[3] === 0 ? -1 : packed(worn) & 0xffffff;
  }

  /** The shadows that wear each fill, by their numbers. */
  shadows(): Map<Fill, number[]> {
    const shadows = new Map<Fill, number[]>();
    this.fillOfOther.forEach((fill, place) => {
      if (isShadow(place) && fill !== NO_FILL) {
        shadows.set(fill, [...(shadows.get(fill) ?? []), shadowOf(place)]);
      }
    });
    return shadows;
  }

  /** What each stroke wears, by its number. */
  get ofInk(): readonly Fill[] {
    return this.fillOfStroke;
  }

  /** Lets places wear fills, and then tells of it once. */
  setAll(fills: Iterable<readonly [place: number, fill: Fill]>): void {
    for (const [place, fill] of fills) {
      this.put(place, fill);
    }
    this.tellCounts();
  }

  private put(place: number, fill: Fill): void {
    const before = this.of(place);
    if (before === fill) {
      return;
    }
    if (isWidth(place)) {
      this.fillOfOther.set(place, fill);
      this.counted.widened++;
      return;
    }
    if (isShadow(place)) {
      this.fillOfOther.set(place, fill);
    } else if (isStroke(place)) {
      this.fillOfStroke[strokeOf(place)] = fill;
    } else {
      this.fillOfCell[place] = fill;
    }
    this.looks.take(fill);
    this.looks.drop(before);
    if (!isShadow(place)) {
      this.counted[isStroke(place) ? "inked" : "filled"] +=
        Number(fill !== NO_FILL) - Number(before !== NO_FILL);
    }
    this.listener(place);
    this.counted.painted++;
  }

  /** What laying a fill in some places would change. */
  laying(fill: Fill, places: Iterable<number>): Swap[] {
    const meant = [...new Set(places)];
    const worn = meant.map((place) => this.of(place));
    return [...FillTexts.laying(fill, worn)].map((i) => ({
      place: meant[i]!,
      before: worn[i]!,
      after: fill,
    }));
  }

  /** What taking some swaps back would change; what was changed since is left alone. */
  takingBack(swaps: Swap[]): Swap[] {
    const taken = FillTexts.takingBack(
      swaps.map((swap) => this.of(swap.place)),
      swaps.map((swap) => swap.before),
      swaps.map((swap) => swap.after),
    );
    return [...taken].map((i) => {
      const { place, before, after } = swaps[i]!;
      return { place, before: after, after: before };
    });
  }

  apply(swaps: Swap[]): void {
    this.setAll(swaps.map(({ place, after }) => [place, after] as const));
  }

  /** The colour of a stroke as it is looked at. */
  inkColourOf(place: number): Rgba {
    const worn = this.shownAs || this.hidden.has(place) ? CLEAR : this.worn(place);
    const colour = worn[3] === 0 ? BLACK : worn;
    return this.eyes ? this.eyes(colour) : colour;
  }

  /** The colour of a cell as it is looked at; the mean of several. */
  colourOf(cell: number): Rgba {
    if (this.shownAs) {
      return this.shownAs(cell);
    }
    const colour = this.hidden.has(cell) ? CLEAR : this.worn(cell);
    return this.eyes ? this.eyes(colour) : colour;
  }

  /** What a cell wears as others lay something over it; undefined while cells show colours that have nothing to do with their fills. */
  underneath(cell: number): Rgba | undefined {
    return this.shownAs ? undefined : this.hidden.has(cell) ? CLEAR : this.worn(cell);
  }

  /** A colour as it is looked at. */
  seen(colour: Rgba): Rgba {
    return this.eyes ? this.eyes(colour) : colour;
  }

  /** The number of the look of several colours that a cell shows; undefined if it shows one colour. */
  lookOf(cell: number): number | undefined {
    const isPlain = this.shownAs || this.hidden.has(cell) || this.triedCells.has(cell);
    return isPlain ? undefined : this.looks.numberOf(this.of(cell));
  }

  /** The colour of a place however the sheet is looked at; the mean of several. */
  worn(place: number): Rgba {
    return this.triedCells.get(place) ?? this.colour(this.of(place));
  }

  /** The colour of a cell at a place of the sheet, however the sheet is looked at. */
  wornAt(cell: number, x: number, y: number): Rgba {
    const number = this.lookOf(cell);
    return number === undefined ? this.worn(cell) : this.looks.all[number]!.at(x, y);
  }

  /** A swatch by the fill that is it all over; undefined for every other fill. */
  swatch(fill: Fill): Swatch | undefined {
    return this.swatches.get(fill);
  }

  allSwatches(): Swatch[] {
    return [...this.swatches.values()];
  }

  /** Some swatch, for want of a better one. */
  anySwatch(): Fill {
    return [...this.swatches.keys()][0] ?? NO_FILL;
  }

  /** Whether all swatches of a fill are there. */
  isThere(fill: Fill): boolean {
    return swatchesOf(fill).every((swatch) => this.swatches.has(swatch));
  }

  /** What a swatch shows now. While something is tried on, all is seen as drawn, so that it can be judged. */
  private shown(swatch: Fill): Rgba | undefined {
    const isTrying = this.tried.size > 0 || this.triedCells.size > 0;
    return (isTrying ? this.tried : this.lit).get(swatch) ?? this.colours.get(swatch);
  }

  colour(fill: Fill): Rgba {
    const known = this.shown(fill);
    const made = known ? undefined : madeOf(fill);
    if (!made) {
      return known ?? CLEAR;
    }
    if (made.kind !== "flat") {
      const number = this.looks.numberOf(fill);
      return (number === undefined ? this.looks.look(made) : this.looks.all[number]!).mean;
    }
    const colour = this.shown(made.swatch);
    if (colour && made.tone < 100) {
      return unpacked(FillLook.of(fill, [made.swatch], [hexOf(colour)]).mean());
    }
    return colour ? [colour[0], colour[1], colour[2], Math.round((255 * made.opacity) / 100)] : CLEAR;
  }

  /** A fill, as drawn, as a background of the style sheet's language, for small pictures of it. */
  css(fill: Fill): string {
    const made = madeOf(fill);
    if (made?.kind === "flat" && made.tone < 100) {
      const colour = hexOf(this.tried.get(made.swatch) ?? this.colours.get(made.swatch) ?? CLEAR);
      return hexOf(unpacked(FillLook.of(fill, [made.swatch], [colour]).mean()));
    }
    if (!made || made.kind === "flat") {
      const swatch = made?.swatch ?? fill;
      return fill === NO_FILL
        ? "transparent"
        : hexOf(this.tried.get(swatch) ?? this.colours.get(swatch) ?? CLEAR);
    }
    const { colours } = this.looks.look(made);
    const last = made.kind === "pattern" ? 1 : colours.length / 4 - 1;
    const shown = [0, last / 2, last].map((at) => hexOf([...colours.slice(4 * Math.round(at))] as never));
    return made.kind === "pattern"
      ? `repeating-linear-gradient(45deg, ${shown[0]} 0 5px, ${shown[2]} 5px 9px)`
      : made.kind === "radial"
        ? `radial-gradient(${shown.join(", ")})`
        : `linear-gradient(${shown.join(", ")})`;
  }

  /** The card that a fill, or its first swatch, is on; one can go there if it is neither the neutrals nor that of loose colours. */
  cardOf(fill: Fill): { id: string; name: string; subject: string; isEditable: boolean } | undefined {
    return this.cards.get(swatchesOf(fill)[0] ?? fill);
  }

  /** The swatches of cards that can be worn, without the neutrals. */
  cardSwatches(): Swatch[] {
    return [...this.swatches].flatMap(([id, swatch]) => (this.cards.get(id)?.isEditable ? [swatch] : []));
  }

  /** The names of the cards that swatches can be put on. */
  editableCards(): string[] {
    return [
      ...new Set([...this.cards.values()].flatMap(({ name, isEditable }) => (isEditable ? [name] : []))),
    ];
  }

  /** The place among the cards of the one that a fill, or its first swatch, is on; behind all of them if it is on none. */
  placeOfCard(fill: Fill): number {
    const card = this.cardOf(fill)?.id;
    const place = [...new Set([...this.cards.values()].map(({ id }) => id))].indexOf(card ?? "");
    return place < 0 ? this.cards.size : place;
  }

  nameOf(fill: Fill): string {
    const made = madeOf(fill);
    const name = (swatch: Fill | undefined) => this.swatches.get(swatch ?? "")?.name ?? "A removed swatch";
    if (!made) {
      return "No fill";
    }
    switch (made.kind) {
      case "flat":
        if (made.tone < 100) {
          return `${name(made.swatch)} at ${made.tone} %`;
        }
        return made.opacity === 100
          ? (this.swatches.get(fill)?.name ?? "No fill")
          : `${name(made.swatch)} at ${made.opacity} % opacity`;
      case "pattern":
        return `${made.motif.includes("-") ? "pattern" : made.motif} in ${name(made.inks[0])}`;
      default:
        return `${name(made.stops[0]?.swatch)} to ${name(made.stops.at(-1)?.swatch)}`;
    }
  }
}
