import { atom, type WritableAtom } from "nanostores";
import type { Part } from "messages";
import { WarmUp } from "rules";
import type { KeysMessage } from "messages";
import { byId } from "../../shared/dom";
import { call } from "../../shared/http";
import { Live, type SheetPart } from "../../shared/live";
import { Fills } from "../model/fills";
import { settledSinceAsked } from "../model/outbox";
import { fetchCellMap, fetchInk, type InkPlane } from "../model/planes";
import { Regions } from "../model/regions";
import { Shadows } from "../model/shadows";
import { Stack } from "../model/stack";
import type { DeskState, LayerState } from "../model/state";
import { Work } from "../model/work";
import { Column } from "../view/column";
import { Crop } from "../view/crop";
import { InkStrokes } from "../view/ink-strokes";
import { keepView } from "../view/kept-view";
import { MotifPictures } from "../view/motif-pictures";
import { Overlay } from "../view/overlay";
import { Passes } from "../view/passes";
import { SheetView } from "../view/sheet-view";
import { Commands } from "./commands";
import { Gathering } from "./gathering";
import { Hand } from "./hand";
import { FILL, handCommands, SAMPLE, viewCommands } from "./hand-commands";
import { KeyInput } from "./keys";
import { PointerInput } from "./pointer";
import { Tools } from "./tools";

/** Too small to aim at regions: there the desk is for looking. */

/** One sheet that is open: what every part of the desk works on. */
export interface Desk {
  /** Address of the sheet. */
  readonly path: string;
  /** Id of the project. */
  readonly project: string;
  readonly state: DeskState;
  readonly layer: LayerState;
  readonly canvas: HTMLCanvasElement;
  readonly ink: WritableAtom<InkPlane>;
  readonly fills: Fills;
  readonly regions: Regions;
  readonly shadows: Shadows;
  readonly strokes: InkStrokes;
  readonly motifs: MotifPictures;
  readonly stack: Stack;
  readonly work: Work;
  readonly view: SheetView;
  readonly overlay: Overlay;
  readonly crop: Crop;
  readonly column: Column;
  readonly hand: Hand;
  readonly gathering: Gathering;
  readonly commands: Commands;
  readonly tools: Tools;
  readonly keys: KeyInput;
  readonly pointer: PointerInput;
  readonly live: Live;
  readonly parts: Parts;
}

/** What of the sheet is asked for again when it was changed: by somebody else, or by a step of the user's own over more than fills, dams and cells. */
export class Parts {
  private readonly renewals: Partial<Record<Part, () => unknown>> = {};

  constructor(private readonly work: Work) {}

  follow(part: Part, renew: () => unknown): void {
    this.renewals[part] = renew;
    this.work.became[part] = () => void renew();
  }

  /** @param cells takes over other cells */
  hearFrom(live: Live, sheet: string, cells: () => Promise<void>): void {
    const renew = (part: SheetPart) => () =>
      void Promise.all([this.renewals[part]?.(), this.work.renewLine()]);
    live.onSheet(sheet, {
      FILLS_AND_DAMS: () => void this.work.resync().then(() => this.work.tellElsewhere()),
      CELLS: () => void cells().then(() => this.work.tellElsewhere()),
      GROUPS: renew("GROUPS"),
      SHADOWS: renew("SHADOWS"),
      LAYERS: renew("LAYERS"),
      REFERENCE: renew("REFERENCE"),
      PAGE_FRAME: renew("PAGE_FRAME"),
      LINE_MEETING: renew("LINE_MEETING"),
      CAST: renew("CAST"),
      REMARKS: () => void this.renewals["REMARKS"]?.(),
    });
  }
}

/** Opens the sheet that the page is about; done when it can be seen. */
export async function openDesk(): Promise<Desk> {
  const path = location.pathname;
  const project = path.split("/")[2]!;
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
  const [map, inkPlane] = await planes;
  const fills = new Fills(layer.id, layer.cellCount, layer.strokes?.count ?? 0, state.palette.cards);
  const motifs = new MotifPictures(`/projects/${project}/motifs`);
  const view = new SheetView(passes, map, inkPlane, fills, motifs);
  const regions = new Regions(map, layer);
  const ink = atom(inkPlane);
  const strokes = new InkStrokes(path, layer, ink, fills, view);
  const work = new Work(path, byId("desk").dataset["person"]!, state.sheet, fills, regions);
  work.start(state);
  keepView(view, state.sheet);
  await view.firstPicture;
  performance.mark("first picture");

  const overlay = new Overlay(byId("overlay"), view);
  const hand = new Hand(regions, fills, work, view);
  const commands = new Commands(JSON.parse(byId("own-keys").textContent) as KeysMessage);
  const gathering = new Gathering(regions, fills, work, hand, view, overlay);
  const tools = new Tools(canvas, hand, commands, gathering);
  const keys = new KeyInput(canvas, commands);
  [FILL, gathering.tool, SAMPLE].forEach((tool) => tools.add(tool));
  commands.add(...handCommands(hand), ...viewCommands(view), ...gathering.commands());
  commands.atRest(() => {
    hand.cancelSweep();
    gathering.letGo();
    hand.takeTool("fill");
  });
  return {
    path,
    project,
    state,
    layer,
    canvas,
    ink,
    fills,
    regions,
    shadows: new Shadows(layer.shadows),
    strokes,
    motifs,
    stack: new Stack(path, state),
    work,
    view,
    overlay,
    crop: new Crop(regions, ink, fills, strokes),
    column: new Column(),
    hand,
    gathering,
    commands,
    tools,
    keys,
    pointer: new PointerInput(canvas, hand, view, tools, keys.spaceHeld),
    live: new Live(project),
    parts: new Parts(work),
  };
}
