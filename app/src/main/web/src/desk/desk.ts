import alpine from "@alpinejs/csp";
import { atom } from "nanostores";
import { WarmUp } from "rules";
import { byId } from "../shared/dom";
import { call, Refusal } from "../shared/http";
import { registerMenu } from "../shared/menu";
import { Adjusting } from "./hand/adjusting";
import { Gathering } from "./hand/gathering";
import { Hand } from "./hand/hand";
import { Handful } from "./hand/handful";
import { Here } from "./hand/here";
import { KeyInput } from "./hand/keys";
import { PointerInput, type Drawing } from "./hand/pointer";
import { Ramp } from "./hand/ramp";
import { Sampling } from "./hand/sampling";
import { RegionMenu } from "./hand/region-menu";
import { Crop } from "./gaps/crop";
import { Evenly } from "./gaps/evenly";
import { DamTool } from "./gaps/dam-tool";
import { GapsDrawer } from "./gaps/gaps-drawer";
import { Leak } from "./gaps/leak";
import { Overlay } from "./gaps/overlay";
import { Pockets } from "./gaps/pockets";
import { ReachSlider } from "./gaps/reach-slider";
import { waitUntilSharp } from "./gaps/sharpening";
import { Beside } from "./layers/beside";
import { LayeredSmall } from "./layers/layered-small";
import { LayersPanel } from "./layers/layers-panel";
import { Stack } from "./layers/stack";
import { CarryDrawer } from "./carry/carry-drawer";
import { Differences } from "./check/differences";
import { CheckDrawer } from "./check/check-drawer";
import { Groups } from "./ledger/groups";
import { LedgerDrawer } from "./ledger/ledger-drawer";
import { Kinds } from "./kinds/kinds";
import { InkGathering } from "./lines/ink-gathering";
import { InkStrokes } from "./lines/ink-strokes";
import { LineTool } from "./lines/line-tool";
import { LinesPanel } from "./lines/lines-panel";
import { InkPanel } from "./ink/ink-panel";
import { showLost } from "./ink/lost";
import { ShadowCalls } from "./shadows/shadow-calls";
import { ShadowTool } from "./shadows/shadow-tool";
import { ShadowsPanel } from "./shadows/shadows-panel";
import { Fills } from "./model/fills";
import { fetchCellMap, fetchCells, fetchInk } from "./model/planes";
import { NewCells } from "./model/new-cells";
import { Regions } from "./model/regions";
import { Shadows } from "./model/shadows";
import type { DeskState } from "./model/state";
import { settledSinceAsked } from "./model/outbox";
import { Work } from "./model/work";
import { dropPebbles } from "./shore/drag";
import { Live } from "../shared/live";
import { Mixing } from "./shore/mixing";
import { chooseCards } from "./shore/choice";
import { Shore } from "./shore/shore";
import { Company } from "./together/company";
import { EvenHandles } from "./blockin/even-handles";
import { ReferenceLayer } from "./blockin/reference";
import { ShapeSheet } from "./blockin/shape-sheet";
import { ShapesPanel } from "./blockin/shapes-panel";
import { Suggestions } from "./blockin/suggestions";
import { Column } from "./view/column";
import { Carried } from "./view/carried";
import { keepView } from "./view/kept-view";
import { Lights } from "./view/lights";
import { Look } from "./view/look";
import { MotifPictures } from "./view/motif-pictures";
import { Passes } from "./view/passes";
import { SheetView } from "./view/sheet-view";
import { showMap } from "./view/small-map";
import { showStripCounts } from "./view/strip-counts";
import { SmallPicture } from "./view/small-picture";
import { showDelivery, showHelp, showNotice, showProgress, showSteps, showZoom } from "./view/readouts";

registerMenu(alpine);
alpine.start();

/** Too small to aim at regions: there the desk is for looking. */
const SMALL_SCREEN = matchMedia("(max-width: 899px)");

const desk = byId("desk");
const path = location.pathname;

async function open(): Promise<void> {
  const canvas = byId<HTMLCanvasElement>("sheet");
  const passes = new Passes(canvas);
  const came = JSON.parse(byId("desk-state").textContent) as DeskState;
  const state = settledSinceAsked(came.sheet) ? await call<DeskState>(`${path}/desk`) : came;
  const { layer } = state;
  const planes = Promise.all([
    fetchCellMap(layer.cells, layer.openings, layer.cellCount),
    fetchInk(layer.ink),
  ]);
  WarmUp.run();
  const [map, ink] = await planes;
  const fills = new Fills(layer.id, layer.cellCount, layer.strokes?.count ?? 0, state.palette.cards);
  const motifs = new MotifPictures(`/projects/${path.split("/")[2]}/motifs`);
  const view = new SheetView(passes, map, ink, fills, motifs);
  const shadows = new Shadows(layer.shadows);
  const regions = new Regions(map, layer);
  const presentInk = atom(ink);
  const strokes = new InkStrokes(path, layer, presentInk, fills, view);
  const work = new Work(path, desk.dataset["person"]!, state.sheet, fills, regions);
  work.start(state);
  const stack = new Stack(path, state);
  keepView(view, state.sheet);
  await view.firstPicture;
  performance.mark("first picture");

  const hand = new Hand(regions, fills, work, view);
  const shore = new Shore(hand, fills);
  chooseCards(path, shore, work);
  const lights = new Lights(state.palette, fills);
  const live = new Live(path.split("/")[2]!);
  const mixing = new Mixing(path, hand, fills, regions, work, view, shore, live, lights);
  const overlay = new Overlay(byId("overlay"), view);
  const gathering = new Gathering(regions, fills, work, hand, view, overlay);
  const ramp = new Ramp(hand, fills, work, mixing);
  gathering.rampWith(ramp);
  const adjusting = new Adjusting(fills, work, gathering, mixing);
  const kinds = new Kinds(
    path.split("/")[2]!,
    path,
    regions,
    fills,
    work,
    hand,
    view,
    gathering,
    overlay,
    motifs,
    () => lights.kept,
    () => mixing.renew(),
  );
  const lineTool = new LineTool(strokes, fills, work, hand, view);
  const inkGathering = new InkGathering(lineTool, strokes, gathering);
  const lines = new LinesPanel(
    path,
    strokes,
    fills,
    regions,
    work,
    hand,
    view,
    gathering,
    mixing,
    state.lineMeeting,
  );
  byId("tool-ground").addEventListener("click", () => gathering.ground());
  const look = new Look(view, fills, regions);
  const lookOnly = () => SMALL_SCREEN.matches;
  const showKeys = () => byId<HTMLDialogElement>("keys").showModal();
  byId("help").addEventListener("click", showKeys);
  const crop = new Crop(regions, presentInk, fills, strokes);
  const drawer = new GapsDrawer(regions, fills, work, hand, view, overlay, crop, () => column.toggle("gaps"));
  const groups = new Groups(path, regions, fills, work, hand, view, gathering);
  const shadowCalls = new ShadowCalls(path, shadows, fills, work, view, groups);
  const shadowsPanel = new ShadowsPanel(
    shadows,
    shadowCalls,
    fills,
    regions,
    work,
    hand,
    view,
    gathering,
    groups,
    overlay,
  );
  const shadowTool = new ShadowTool(view, overlay, hand, shadowsPanel);
  const ledger = new LedgerDrawer(regions, fills, work, view, gathering, groups, path, overlay, stack);
  const check = new CheckDrawer(
    path,
    regions,
    fills,
    work,
    hand,
    view,
    crop,
    (cells) => kinds.open(cells),
    (standing, cell) => stack.go(standing, cell),
  );
  const beside = new Beside(path, stack, map.plane, view);
  const layers = new LayersPanel(path, stack, beside, work, view, gathering);
  new Differences(path, regions, fills, work, hand, view, crop);
  const carry = new CarryDrawer(path, regions, fills, work, hand, view, gathering, crop, shadowCalls);
  hand.cell.listen((cell) => carry.pointAt(cell));
  const column = new Column({ gaps: drawer, carry, ledger, check, layers });
  new ReachSlider(regions, work);
  const pockets = new Pockets(regions, fills, work, hand);
  const leak = new Leak(regions, work, overlay, view, (cell) => hand.layOn(cell, hand.present.get()));
  const small = new SmallPicture(
    [byId<HTMLCanvasElement>("present-picture"), byId<HTMLCanvasElement>("map-picture")],
    fills,
    strokes,
    shadows,
    groups,
    stack,
  );
  const layeredSmall = new LayeredSmall(
    [byId<HTMLCanvasElement>("present-picture"), byId<HTMLCanvasElement>("map-picture")],
    path,
    stack,
    work,
    small,
  );
  const othersLook = () => {
    if (stack.isLayered) {
      void beside.renew();
      layeredSmall.renewSoon();
    }
  };
  work.changedElsewhere.listen(othersLook);
  const newCells = new NewCells(
    path,
    layer,
    presentInk,
    fills,
    regions,
    view,
    work,
    hand,
    small,
    strokes,
    shadows,
  );
  work.cutAnew.listen(() => void newCells.takeOver());
  work.became = {
    GROUPS: () => void groups.load(),
    SHADOWS: () => void shadowCalls.load(),
    LAYERS: () => void layers.renew(),
    PAGE_FRAME: () => void ledger.frame.load(),
    REFERENCE: () => void reference.load(),
    LINE_MEETING: () => void lines.renewMeeting(),
    CAST: () => void mixing.renew(),
    PALETTE: () => void mixing.renew().then(othersLook),
  };
  const alsoLine = (act: () => Promise<void>) => () => void Promise.all([act(), work.renewLine()]);
  live.onSheet(state.sheet, {
    FILLS_AND_DAMS: () => void work.resync().then(othersLook),
    CELLS: () => void newCells.takeOver().then(othersLook),
    GROUPS: alsoLine(() => groups.load()),
    SHADOWS: alsoLine(() => shadowCalls.load().then(othersLook)),
    LAYERS: alsoLine(() => layers.renew()),
    REFERENCE: alsoLine(() => reference.load()),
    PAGE_FRAME: alsoLine(() => ledger.frame.load()),
    LINE_MEETING: alsoLine(() => lines.renewMeeting()),
    CAST: alsoLine(() => mixing.renew()),
  });
  new Company(path, state.sheet, desk.dataset["person"]!, live, hand, regions, view);
  const shapeSheet = new ShapeSheet(path, layer, presentInk, fills, regions, view, work, hand, newCells);
  const evenHandles = new EvenHandles(view);
  const shapesPanel = new ShapesPanel(path, shapeSheet, stack, hand, view, work, overlay, ramp, evenHandles);
  const reference = new ReferenceLayer(path, view, work, hand);
  const sampling = new Sampling(view, overlay, hand, fills, mixing, reference);
  new Suggestions(path, shapeSheet, overlay, mixing, map.plane);
  const damTool = new DamTool(path, newCells, regions, work, hand, view, overlay);
  const evenly = new Evenly(gathering, regions, newCells, work, hand, view, overlay, evenHandles);
  const handful = new Handful(path, canvas, regions, fills, hand, view);
  const gapKeys: Record<string, () => unknown> = {
    g: () => column.toggle("gaps"),
    j: () => (carry.isBusy ? carry : drawer).step(1),
    k: () => (carry.isBusy ? carry : drawer).step(-1),
    d: () => (carry.isBusy ? carry.take() : leak.isOpen ? leak.damAndFill() : drawer.say("SHUT")),
    l: () => (carry.isBusy ? carry.nextChoice() : drawer.say("OPEN")),
    i: () => drawer.say("INKED"),
    w: () => hand.step(1),
    q: () => hand.step(-1),
    p: () => pockets.take(),
    x: () => void mixing.open(),
    "shift x": () => (kinds.isOpen ? kinds.close() : kinds.openHere()),
    "shift o": () => void handful.toggle(),
    f: () => hand.takeTool(hand.gathering.get() ? "fill" : "gather"),
    r: () => gathering.ground(),
    m: () => lights.next(),
    "shift m": () => look.nextSurround(),
    h: () => column.toggle("ledger"),
    "shift h": () => column.toggle("carry"),
    y: () => column.toggle("check"),
    "shift p": () => column.toggle("layers"),
    "shift j": () => stack.step(1) || hand.said.set("This is the layer at the back"),
    "shift k": () => stack.step(-1) || hand.said.set("This is the layer in front"),
    "shift u": () => layers.toggleOthers(),
    "shift v": () => layers.toggleMove(),
    "shift b": () => hand.takeTool(hand.shaping.get() ? "fill" : "shape"),
    "shift c": () => hand.takeTool(hand.picking.get() ? "fill" : "colour"),
    "shift r": () => reference.toggle(),
    "shift s": () => hand.takeTool(hand.shading.get() ? "fill" : "shadow"),
    "shift l": () => hand.takeTool(hand.lining.get() ? "fill" : "line"),
    t: () => hand.takeTool(hand.damming.get() ? "fill" : "dam"),
  };
  const keys = new KeyInput(canvas, hand, view, {
    gaps: (key) => {
      gapKeys[key]?.();
      return key in gapKeys;
    },
    drops: () => shapesPanel.tool.back() || shadowTool.back(),
    finishes: () => shapesPanel.tool.close() || shadowTool.close(),
    shapes: (event) => shapesPanel.key(event),
    escape: () => {
      if (handful.close()) {
        return;
      }
      if (evenly.close() || ramp.close() || (hand.shaping.get() && shapesPanel.letGo())) {
        return;
      }
      if (shadowTool.isOpen || shadowsPanel.letGo()) {
        shadowTool.drop();
        return;
      }
      layers.move.isOn.set(false);
      adjusting.close();
      kinds.close();
      gathering.letGo();
      leak.close();
      mixing.close();
      damTool.cancel();
      hand.takeTool("fill");
    },
    holdsBack: (cell) => leak.holdsBack(cell),
    gatherHere: () => gathering.toggleHere(),
    holdByKey: (key) => handful.takeByKey(key) || shore.holdByKey(key),
    stepSwatch: (by) => shore.step(by),
    look: (key) => look.byKey(key),
    lookOnly,
    showKeys,
  });
  const here = new Here(
    path,
    hand,
    fills,
    regions,
    work,
    gathering,
    (openings) => {
      if (!drawer.isOpen) {
        column.toggle("gaps");
      }
      overlay.mark(openings);
    },
    (cells, fill) => void lines.layAround(cells, fill),
  );
  const menu = new RegionMenu(
    byId("region-menu"),
    canvas,
    hand,
    here,
    () => kinds.openHere(),
    (at) => layers.tellHere(at),
  );
  const drawings: readonly (readonly [() => boolean, Drawing])[] = [
    [() => layers.move.isOn.get(), layers.move],
    [() => reference.isPlacing.get(), reference],
    [() => kinds.isOpen, kinds],
    [() => ledger.frame.isDrawing, ledger.frame],
    [() => hand.damming.get(), damTool],
    [() => hand.lining.get(), lineTool],
    [() => hand.shaping.get() && shapeSheet.isBlockedIn, shapesPanel.tool],
    [() => hand.shading.get(), shadowTool],
    [() => hand.picking.get(), sampling],
    [() => hand.gathering.get(), gathering],
  ];
  new PointerInput(canvas, hand, view, {
    spaceHeld: keys.spaceHeld,
    openMenu: (at) => menu.open(at),
    held: (at) => handful.hold(at, () => menu.open(at)),
    heldMoves: (event) => handful.pointOver(event),
    heldEnds: (event) => handful.letGoOver(event),
    lookOnly,
    holdsBack: (cell) => leak.holdsBack(cell),
    gathering: () => (hand.lining.get() ? inkGathering : gathering),
    drawing: () => drawings.find(([isInHand]) => isInHand())?.[1],
    step: (by) => hand.step(by),
    pointedAt: (at) => {
      drawer.pointAt(at);
      lineTool.pointAt(at);
    },
  });
  dropPebbles(
    byId("shore"),
    canvas,
    new Carried(byId("carried"), canvas, hand, fills),
    hand,
    (dragged, onto, at) => mixing.meet(dragged, onto, at),
    (dragged, card) => mixing.putOn(dragged, card),
  );
  showMap(view);
  showHelp(hand);

  new InkPanel(path, state.sheet, view, presentInk, layer.inkSettings);
  showLost(state.sheet, fills, view);

  waitUntilSharp(
    path,
    layer.isSharp,
    () => hand.sweeping || work.outbox.waiting.get() > 0,
    async () => {
      await newCells.takeOver();
      desk.dataset["sharp"] = "true";
    },
  );

  showZoom(view);
  showProgress(fills, regions, hand, stack);
  showSteps(work, hand);
  showDelivery(work);
  showNotice(work);
  hand.said.listen((said) => (byId("said").textContent = said));
  small.show(
    await fetchCells(layer.smallCells, layer.cellCount),
    await fetchInk(layer.smallInk),
    regions.map,
  );
  desk.dataset["sharp"] = String(layer.isSharp);
  goToPlaceNamed(hand, view, regions, fills);
  desk.dataset["ready"] = "true";
  void showStripCounts();
}

/** Other pages lead to a cell of the sheet by its number behind the address, or to its shapes. */
function goToPlaceNamed(hand: Hand, view: SheetView, regions: Regions, fills: Fills): void {
  if (location.hash === "#shapes") {
    hand.takeTool("shape");
  }
  const cell = Number(/^#cell=(\d+)$/.exec(location.hash)?.[1] ?? NaN);
  if (cell >= 0 && cell < fills.cellCount) {
    hand.goToCell(cell);
    const { deepestX, deepestY, width, height } = regions.shape(regions.of(cell));
    view.showClose({ x: deepestX, y: deepestY }, Math.min(width, height));
  }
}

open().catch((error: unknown) => {
  const place = byId("notice");
  place.textContent =
    error instanceof Refusal || error instanceof Error
      ? `The sheet could not be opened. ${error.message} Nothing of it was changed; load the page again.`
      : "The sheet could not be opened.";
  place.hidden = false;
});
