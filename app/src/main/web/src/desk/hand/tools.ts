import type { Point } from "../geometry/camera";
import type { Commands, StripEntry, Told } from "./commands";
import type { Hand } from "./hand";

/** Whatever is pressed, moved and let go on the sheet. */
export interface Drawing {
  /** @param lifting Alt is held @param brushing Shift is held */
  begin(screen: Point, lifting: boolean, brushing: boolean): void;
  move(screen: Point): void;
  end(screen: Point): void;
  cancel(): void;
}

/** What the hand takes to do something to the sheet by presses. */
export interface Tool extends Told {
  readonly name: string;
  readonly keys?: readonly string[];
  /** Without, it is taken by its key, or by a panel. */
  readonly strip?: StripEntry;
  /** What a press does, said while it is in the hand and nothing is pointed at. */
  readonly hint: string;
  /** A cursor of CSS; without, a cross. */
  readonly cursor?: string;
  /** What presses do; without, they fill. */
  readonly drawing?: Drawing;
  /** Whether presses can do that here; without, always. */
  isReady?(): boolean;
  /** What presses with Ctrl do; without, they gather regions. */
  readonly gathering?: Drawing;
}

/** The tools of the desk, of which one is in the hand; and what else presses mean for a while. */
export class Tools {
  private readonly known = new Map<string, Tool>();
  private readonly modes: { isOn: () => boolean; drawing: Drawing }[] = [];

  constructor(
    canvas: HTMLElement,
    private readonly hand: Hand,
    private readonly commands: Commands,
    private readonly gathers: Drawing,
  ) {
    hand.tool.listen(() => (canvas.style.cursor = this.present.cursor ?? ""));
  }

  add(tool: Tool): void {
    this.known.set(tool.name, tool);
    this.commands.add({ ...tool, run: () => this.toggle(tool.name) });
  }

  /** Something that presses mean while it is on, whatever the tool. */
  addMode(isOn: () => boolean, drawing: Drawing): void {
    this.modes.push({ isOn, drawing });
  }

  get present(): Tool {
    return this.known.get(this.hand.tool.get())!;
  }

  has(name: string): boolean {
    return this.known.has(name);
  }

  /** What a press does instead of filling. */
  get drawing(): Drawing | undefined {
    const mode = this.modes.find(({ isOn }) => isOn());
    const { present } = this;
    return mode?.drawing ?? ((present.isReady?.() ?? true) ? present.drawing : undefined);
  }

  /** What a press with Ctrl does. */
  get gathering(): Drawing {
    return this.present.gathering ?? this.gathers;
  }

  /** Takes a tool, or the usual one if it is in the hand already. */
  private toggle(name: string): void {
    this.hand.takeTool(this.hand.has(name) ? "fill" : name);
  }
}
