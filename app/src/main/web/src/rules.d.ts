/* Made from the facade in the module `browser` by its DeclarationsTest. */
declare module "rules" {
  export interface CellParts {
    readonly cell: number;
    readonly parts: Int32Array;
  }

  export interface CellShown {
    readonly area: number;
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
    readonly deepestX: number;
    readonly deepestY: number;
  }

  export interface Channel {
    readonly min: number;
    readonly max: number;
    readonly step: number;
    readonly unit: string;
  }

  export interface DamEffect {
    readonly openings: Int32Array;
    readonly before: string[];
    readonly after: string[];
    readonly reachBefore: number;
    readonly reachAfter: number;
  }

  export interface FigureShown {
    readonly cells: Int32Array;
    readonly holes: Int32Array[];
  }

  export interface FillParts {
    readonly kind: string;
    readonly opacity: number;
    readonly span: Int32Array;
    readonly percents: Int32Array;
    readonly swatches: string[];
    readonly motif: string;
    readonly mirrored: boolean;
    readonly flipped: boolean;
    readonly height: number;
    readonly kept: string;
  }

  export interface GapShown {
    readonly openings: Int32Array;
    readonly places: number;
    readonly widthPx: number;
    readonly isShut: boolean;
    readonly isInDoubt: boolean;
    readonly sides: Int32Array;
    readonly effectPx: number;
  }

  export interface InkSource {
    readonly swatch: string;
    readonly strokes: Int32Array;
  }

  export interface InkStart {
    readonly width: number;
    readonly height: number;
    readonly threshold: number;
    readonly length: number;
  }

  export interface LayerPatch {
    readonly layer: Layer;
    readonly boxes: PlaneBox[];
    readonly split: CellParts[];
    readonly dam: Int32Array;
  }

  export interface LedgerRow {
    readonly fill: string;
    readonly cells: Int32Array;
    readonly regions: number;
    readonly share: number;
  }

  export interface LightParts {
    readonly all: RuleParts;
    readonly cards: string[];
    readonly rules: RuleParts[];
    readonly swatches: string[];
    readonly exceptions: string[];
  }

  export interface Nearest {
    readonly index: number;
    readonly difference: number;
    readonly isHardToTell: boolean;
  }

  export interface OpeningShown {
    readonly first: number;
    readonly second: number;
    readonly widthPx: number;
    readonly strength: number;
    readonly byHand: boolean;
    readonly line: Float64Array;
    readonly middleX: number;
    readonly middleY: number;
  }

  export interface PlaneBox {
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
    readonly numbers: Int32Array;
  }

  export interface RegionShape {
    readonly cells: Int32Array;
    readonly area: number;
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
    readonly deepestX: number;
    readonly deepestY: number;
    readonly deepestCell: number;
  }

  export interface RuleParts {
    readonly blend: string;
    readonly tint: string;
    readonly strength: number;
    readonly lightness: number;
    readonly chroma: number;
    readonly hue: number;
    readonly contrast: number;
  }

  export interface ShapeChange {
    readonly put: string[];
    readonly order: Int32Array;
    readonly lines: string[];
    readonly chosen: Int32Array;
    readonly fresh: Int32Array;
    readonly like: Int32Array;
    readonly isNothing: boolean;
  }

  export interface Shown {
    readonly hex: string;
    readonly wasOutside: boolean;
  }

  export interface SpillShown {
    readonly dam: Int32Array;
    readonly gaps: Int32Array;
    readonly places: number;
    readonly narrowestPx: number;
    readonly times: number;
    readonly way: Int32Array;
  }

  export interface TiedSwatch {
    readonly same: string;
    readonly colour: string;
    readonly paint: string;
  }

  export interface Twins {
    readonly first: number;
    readonly second: number;
    readonly difference: number;
  }

  export class BlockedIn {
    private constructor();
    addKnot(number: number, x: number, y: number): ShapeChange;
    around(shapes: ArrayLike<number>): Float64Array;
    bendKnot(number: number, loop: number, knot: number): ShapeChange;
    border(number: number, loop: number): Float64Array;
    centres(shapes: ArrayLike<number>): Float64Array;
    divide(number: number, way: ArrayLike<number>, reachPx: number, tolerance: number): ShapeChange;
    divideEvenly(number: number, evenly: string, parts: number, rows: number, degrees: number, x: number, y: number): ShapeChange;
    draw(shape: string, under: boolean, reachPx: number): ShapeChange;
    drop(): PlaneBox[];
    dropKnot(number: number, loop: number, knot: number): ShapeChange;
    dropLine(index: number): ShapeChange;
    duplicate(shapes: ArrayLike<number>): ShapeChange;
    edgeOf(number: number): number;
    extend(index: number, atStart: boolean): ShapeChange;
    hasInk(): boolean;
    inkIn(box: ArrayLike<number>): Int8Array;
    join(shapes: ArrayLike<number>): ShapeChange;
    knots(number: number, loop: number): Float64Array;
    line(index: number): Float64Array;
    lineCount(): number;
    loops(number: number): number;
    looseEnds(): Float64Array;
    move(shapes: ArrayLike<number>, x: number, y: number): ShapeChange;
    moveKnot(number: number, loop: number, knot: number, x: number, y: number, alone: boolean): ShapeChange;
    order(): Int32Array;
    outlined(shapes: ArrayLike<number>, width: number, tapered: boolean): ShapeChange;
    static read(text: string, width: number, height: number): BlockedIn;
    remove(shapes: ArrayLike<number>): ShapeChange;
    reorder(shapes: ArrayLike<number>, steps: number): ShapeChange;
    shareBorders(number: number, reachPx: number): ShapeChange;
    show(): PlaneBox[];
    snapped(x: number, y: number, without: ArrayLike<number>, reachPx: number): Float64Array;
    subtract(shapes: ArrayLike<number>): ShapeChange;
    take(): LayerPatch;
    takeAll(suggested: readonly string[]): ShapeChange;
    tuck(number: number): ShapeChange;
    turn(shapes: ArrayLike<number>, degrees: number, wider: number, higher: number): ShapeChange;
    within(way: ArrayLike<number>): Int32Array;
  }

  export class Colours {
    private constructor();
    static adjusted(hexes: readonly string[], lightness: number, chroma: number, hueDegrees: number, only: ArrayLike<number>, sparesSkin: boolean, sparesNeutrals: boolean): string[];
    static channels(model: string): Channel[];
    static difference(first: string, second: string): number;
    static isFound(query: string, name: string, card: string, hex: string): boolean;
    static mixed(from: string, to: string, share: number): string;
    static nearest(hex: string, others: readonly string[]): Nearest | null;
    static nudged(nudge: string, lightness: number, chroma: number, hue: number): Float64Array;
    static numbers(model: string, hex: string): Float64Array;
    static ofHue(hue: number, mostChroma: number, columns: number, rows: number): Int32Array;
    static ofNumbers(model: string, numbers: ArrayLike<number>): Shown;
    static polar(hex: string): Float64Array;
    static ramp(from: string, to: string, count: number): string[];
    static read(text: string): string | null;
    static related(hex: string, kind: string): string[];
    static seen(vision: string, packed: number): number;
    static shown(lightness: number, chroma: number, hue: number): Shown;
    static webSafe(hex: string): string;
  }

  export class EvenLines {
    private constructor();
    count(): number;
    keepInside(cellsThere: ArrayLike<number>, cells: ArrayLike<number>): void;
    line(line: number): Float64Array;
    static over(box: ArrayLike<number>, evenly: string, parts: number, rows: number, degrees: number, x: number, y: number, step: number): EvenLines;
    pixels(width: number, height: number): Int32Array;
  }

  export class FillLook {
    private constructor();
    argb(): Int32Array;
    at(x: number, y: number): number;
    mean(): number;
    static of(text: string, swatches: readonly string[], hexes: readonly string[]): FillLook;
  }

  export class FillTexts {
    private constructor();
    static addingStop(gradient: string, stop: number): string;
    static canAddStop(gradient: string): boolean;
    static flat(opacity: number, swatch: string): string;
    static gradient(course: string, opacity: number, span: ArrayLike<number>, percents: ArrayLike<number>, swatches: readonly string[]): string;
    static isOneSwatchOrNone(text: string): boolean;
    static keptAs(gradientOrPattern: string, kept: string): string;
    static laying(fill: string, worn: readonly string[]): Int32Array;
    static movingStop(gradient: string, stop: number, percent: number): string;
    static nowhere(text: string): string;
    static parts(text: string): FillParts;
    static pattern(opacity: number, span: ArrayLike<number>, motif: string, mirrored: boolean, flipped: boolean, height: number, swatches: readonly string[]): string;
    static placeOf(begun: ArrayLike<number>, span: ArrayLike<number>): Int32Array;
    static placeTurned(placed: ArrayLike<number>, turn: number): Int32Array;
    static placed(text: string, box: ArrayLike<number>): string;
    static spanAt(begun: ArrayLike<number>, placed: ArrayLike<number>): Int32Array;
    static spanIn(kind: string, box: ArrayLike<number>): Int32Array;
    static stretched(pattern: string, box: ArrayLike<number>): string;
    static swatches(text: string): string[];
    static takingBack(worn: readonly string[], before: readonly string[], after: readonly string[]): Int32Array;
    static toned(text: string, steps: number): string;
    static turned(gradient: string): string;
    static wearing(text: string, swatches: readonly string[], instead: readonly string[]): string;
    static withoutStop(gradient: string, stop: number): string;
  }

  export class Layer {
    private constructor();
    cell(cell: number): CellShown;
    count(): number;
    defaultReach(): number;
    isLimited(): boolean;
    opening(opening: number): OpeningShown;
    openingCount(): number;
    patched(patch: ArrayLike<number>): LayerPatch;
    static read(map: ArrayLike<number>, openings: ArrayLike<number>): Layer;
    strokePx(): number;
  }

  export class Ledgers {
    private constructor();
    static ink(worn: readonly string[]): InkSource[];
    static nearTwins(names: readonly string[], hexes: readonly string[], threshold: number): Twins[];
    static ordered(order: string, names: readonly string[], cards: ArrayLike<number>, hexes: readonly string[], shares: ArrayLike<number>, regions: ArrayLike<number>): Int32Array;
  }

  export class Lights {
    private constructor();
    static parts(text: string): LightParts;
    static rule(blend: string, tint: string, strength: number, lightness: number, chroma: number, hue: number, contrast: number): string;
    static text(all: string, cards: readonly string[], rules: readonly string[], swatches: readonly string[], exceptions: readonly string[]): string;
  }

  export class OwnLine {
    constructor();
    doAgain(change: string): void;
    forget(change: string): void;
    know(change: string, made: number, last: number, stands: boolean): void;
    make(change: string): void;
    redoable(): string[];
    takeBack(change: string): void;
    undoable(): string[];
  }

  export class Plane {
    private constructor();
    cells(): Int32Array;
    ends(): Int32Array;
    heightPx(): number;
    static inkStart(inkStart: ArrayLike<number>): InkStart;
    static read(sent: ArrayLike<number>): Plane;
    static readStrokes(sentStrokes: ArrayLike<number>): Plane;
    solids(): Int32Array;
    widthPx(): number;
  }

  export class Ramps {
    private constructor();
    static around(swatch: string, hex: string, count: number): TiedSwatch[];
    static between(swatches: readonly string[], colours: readonly string[], count: number): TiedSwatch[];
    static circle(swatches: readonly string[], colours: readonly string[], between: number): TiedSwatch[];
    static order(middles: ArrayLike<number>, widths: ArrayLike<number>, clockwise: boolean): Int32Array;
  }

  export class Shapes {
    private constructor();
    static bending(shape: string, knot: number): string;
    static crossesItself(shape: string): boolean;
    static ellipse(fromX: number, fromY: number, toX: number, toY: number): string;
    static evenSided(fromX: number, fromY: number, toX: number, toY: number, sides: number): string;
    static freehand(way: ArrayLike<number>, tolerance: number): string;
    static has(shape: string, x: number, y: number): boolean;
    static isCorner(shape: string, knot: number): boolean;
    static knots(shape: string): Float64Array;
    static moving(shape: string, knot: number, x: number, y: number): string;
    static polygon(shape: string): Float64Array;
    static rectangle(fromX: number, fromY: number, toX: number, toY: number): string;
    static samples(shape: string): Float64Array;
    static shifted(shape: string, x: number, y: number): string;
    static splitNear(shape: string, x: number, y: number): string;
    static through(way: ArrayLike<number>): string;
    static throughCorners(way: ArrayLike<number>, corners: ArrayLike<number>): string;
    static without(shape: string, knot: number): string;
  }

  export class SheetGroups {
    constructor();
    add(id: string, name: string, isHidden: boolean, isLocked: boolean, cells: ArrayLike<number>): void;
    objectionTo(cells: ArrayLike<number>): string | null;
  }

  export class SheetRegions {
    constructor(layer: Layer);
    alike(cells: ArrayLike<number>): Int32Array;
    apply(openings: ArrayLike<number>, before: readonly string[], after: readonly string[], reachBefore: number, reachAfter: number): void;
    bigger(cell: number): Int32Array;
    count(): number;
    enclosed(outline: ArrayLike<number>): Int32Array;
    endPreview(): void;
    figures(): FigureShown[];
    gaps(): GapShown[];
    giving(openings: ArrayLike<number>, states: readonly string[], reach: number): DamEffect;
    handful(cell: number, fills: readonly string[], swatches: readonly string[], cards: ArrayLike<number>, beside: readonly string[], used: readonly string[]): string[];
    inked(): Int32Array;
    inside(way: ArrayLike<number>): Int32Array;
    isShutAt(opening: number, reach: number): boolean;
    ledger(fills: readonly string[], cells: ArrayLike<number>): LedgerRow[];
    load(reach: number, shut: ArrayLike<number>, open: ArrayLike<number>, inked: ArrayLike<number>): void;
    mostOf(cells: ArrayLike<number>, worn: ArrayLike<number>): Int32Array;
    nextEmpty(from: number, worn: ArrayLike<number>): number;
    ofCells(): Int32Array;
    open(): Int32Array;
    openingNear(x: number, y: number, within: number): number;
    openingsAt(region: number): Int32Array;
    openingsBrushed(way: ArrayLike<number>, radius: number, isLifting: boolean): Int32Array;
    openingsCrossed(way: ArrayLike<number>): Int32Array;
    pocketsBeside(cells: ArrayLike<number>, worn: ArrayLike<number>): Int32Array;
    preview(reach: number): void;
    reach(): number;
    shape(region: number): RegionShape;
    shut(): Int32Array;
    smaller(cell: number): Int32Array;
    spill(cell: number): SpillShown | null;
    stateOf(opening: number): string;
    takingBack(openings: ArrayLike<number>, before: readonly string[], after: readonly string[], reachBefore: number, reachAfter: number): DamEffect;
    towards(from: number, direction: string): number;
  }

  export class SheetShadows {
    constructor(layer: Layer, share: number);
    add(number: number, name: string, base: string, form: string, blend: string, lightness: number, strength: number, edge: number): void;
    base(number: number): Int32Array;
    static baseWithParts(base: string, cells: ArrayLike<number>, counts: ArrayLike<number>, parts: ArrayLike<number>): string;
    begin(present: SheetGroups, cells: ArrayLike<number>): void;
    box(number: number): Int32Array;
    count(): number;
    first(): number;
    grow(layer: Layer): boolean;
    isFull(): boolean;
    static keepsToTwoBytes(count: number): boolean;
    marginPx(): number;
    numbers(box: ArrayLike<number>, around: ArrayLike<number>, cells: ArrayLike<number>): Int32Array;
    over(piece: number, colours: ArrayLike<number>, wearing: number): Int32Array;
    shadingOn(cells: ArrayLike<number>): Int32Array;
    topmost(piece: number): number;
    under(piece: number): number;
  }

  export class SheetStrokes {
    constructor();
    add(inkPx: number, box: ArrayLike<number>, cells: ArrayLike<number>, shares: ArrayLike<number>): void;
    static coverage(dense: number, solid: number): number;
    static darker(source: string, hex: string, amount: number): TiedSwatch;
    darkerThanBeside(meant: ArrayLike<number>, basis: string, alsoAgainstNothing: boolean, fills: readonly string[], areas: ArrayLike<number>, swatches: readonly string[], hexes: readonly string[]): InkSource[];
    inside(cells: ArrayLike<number>): Int32Array;
    static knownDarker(paint: string, swatches: readonly string[], paints: readonly string[]): string | null;
    static meetingTaps(): Float64Array;
    static nameOfDarker(name: string): string;
    static shownInk(width: number, density: ArrayLike<number>, strokes: ArrayLike<number>, tenths: ArrayLike<number>, strokePx: number): Int8Array;
    static tenths(text: string): number;
    touching(cells: ArrayLike<number>): Int32Array;
    static widthText(tenths: number): string;
  }

  export class Stagings {
    private constructor();
    static settled(sheet: string, scene: string): string;
  }

  export class Values {
    private constructor();
    static flattened(pixels: ArrayLike<number>, count: number): Int32Array;
    static grey(pixels: ArrayLike<number>): Int32Array;
    static mean(pixels: ArrayLike<number>, across: number, column: number, line: number, discPx: number): string;
  }

  export class WarmUp {
    private constructor();
    static run(): number;
  }
}
