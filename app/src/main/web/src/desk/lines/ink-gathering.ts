import type { Gathering } from "../hand/gathering";
import type { Drawing } from "../hand/tools";
import type { Point } from "../geometry/camera";
import type { InkStrokes } from "../view/ink-strokes";
import type { LineTool } from "./line-tool";

/** Gathers strokes while the line tool is in the hand: a press on a gathered one drops it, and a sweep from there all that it passes; else they are taken. */
export class InkGathering implements Drawing {
  private taking: boolean | undefined;
  private passed = new Set<number>();

  constructor(
    private readonly tool: LineTool,
    private readonly strokes: InkStrokes,
    private readonly gathering: Gathering,
  ) {}

  begin(screen: Point): void {
    const again = () => {
      this.begin(screen);
      this.end(screen);
    };
    if (!this.strokes.areKnownOr(again)) {
      return;
    }
    const place = this.tool.at(screen);
    if (place !== undefined) {
      this.taking = !this.gathering.has(place);
      this.passed = new Set();
      this.move(screen);
    }
  }

  move(screen: Point): void {
    const place = this.tool.at(screen);
    if (this.taking === undefined || place === undefined || this.passed.has(place)) {
      return;
    }
    this.passed.add(place);
    if (this.taking) {
      this.gathering.gather([place], true);
    } else {
      this.gathering.drop([place]);
    }
  }

  end(screen: Point): void {
    this.move(screen);
    this.taking = undefined;
  }

  cancel(): void {
    this.taking = undefined;
  }
}
