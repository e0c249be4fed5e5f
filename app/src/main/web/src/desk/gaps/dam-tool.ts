import { byId } from "../../shared/dom";
import { call, Refusal } from "../../shared/http";
import type { Hand } from "../hand/hand";
import type { Opening } from "../model/openings";
import type { NewCells } from "../hand/new-cells";
import type { Regions } from "../model/regions";
import type { Work } from "../model/work";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";
import type { Overlay } from "../view/overlay";

const CLICK_PX = 6;
const NEAR_PX = 18;
const BRUSH_PX = 42;
/** Points of a drawn line this near to each other say the same. */
const THIN_PX = 5;
const PARTS_NOTHING =
  "This line parts nothing: bring both its ends to ink or to another dam. Nothing was changed.";
const JOINS_NOTHING = "This line stays in one region, so there is nothing to join. Nothing was changed.";

/**
 * Dams by hand: a click on an opening dams it or lifts its dam, a sweep over openings dams them all (with Alt: lifts), and a line that crosses none is
 * a dam of its own (with Alt: joins the regions on both sides of the ink that it crosses, for filling only).
 */
export class DamTool {
  private points: Point[] = [];
  private lifting = false;
  private brushing = false;
  private loose: readonly Point[] = [];

  constructor(
    private readonly path: string,
    private readonly newCells: NewCells,
    private readonly regions: Regions,
    private readonly work: Work,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly overlay: Overlay,
  ) {
    hand.whenHeld("dam", () => {
      this.expectLines();
      if (this.loose.length > 0) {
        this.showLoose([]);
      }
    });
    byId("dam-extend").addEventListener("click", () => void this.extend());
    byId("dam-leave").addEventListener("click", () => this.showLoose([]));
    newCells.becameOthers.listen(() => this.expectLines());
  }

  /** So that the first line does not wait until the server has unpacked the sheet. */
  private expectLines(): void {
    if (this.hand.has("dam")) {
      void call(`${this.path}/dams/expected`, {}).catch(() => {});
    }
  }

  /**
   * @param lifting openings passed are left open, not dammed
   * @param brushing not the openings that the line crosses are meant, but those under a broad brush that reach might take or leave
   */
  begin(screen: Point, lifting: boolean, brushing: boolean): void {
    this.lifting = lifting;
    this.brushing = brushing;
    this.showLoose([]);
    this.points = [this.view.camera.toSheet(screen)];
  }

  move(screen: Point): void {
    const at = this.view.camera.toSheet(screen);
    const last = this.points.at(-1);
    if (last && Math.hypot(at.x - last.x, at.y - last.y) * this.view.camera.scale >= THIN_PX) {
      this.points.push(at);
      this.overlay.draw(this.brushing ? [] : this.points);
      this.overlay.showBrush(this.brushing ? { at, radius: this.brushRadius } : undefined);
      this.overlay.mark(this.meant());
    }
  }

  cancel(): void {
    this.points = [];
    this.overlay.draw([]);
    this.overlay.showBrush(undefined);
    this.overlay.mark([]);
  }

  end(screen: Point): void {
    this.move(screen);
    const crossed = this.meant();
    const line = this.points;
    this.cancel();
    if (line.length === 0) {
      return;
    }
    const length = line
      .slice(1)
      .reduce((sum, at, i) => sum + Math.hypot(at.x - line[i]!.x, at.y - line[i]!.y), 0);
    if (length * this.view.camera.scale < CLICK_PX) {
      this.toggleAt(screen);
    } else if (crossed.length > 0) {
      this.set(crossed, !this.lifting);
    } else if (!this.brushing) {
      void this.draw(line, this.lifting);
    }
  }

  private toggleAt(screen: Point): void {
    const near = this.regions.openingNear(this.view.camera.toSheet(screen), NEAR_PX / this.view.camera.scale);
    if (near) {
      this.set([near], !this.regions.isShut(near));
    } else {
      this.hand.said.set("No opening here. Draw a line to dam this place.");
    }
  }

  private set(openings: Opening[], shut: boolean): void {
    const changed = this.work.dam(
      new Map(openings.map((each) => [each.index, shut ? "SHUT" : "OPEN"] as const)),
    );
    const what = changed === 1 ? "1 opening" : `${changed} openings`;
    this.hand.said.set(shut ? `Dammed ${what}` : `Left ${what} open`);
  }

  /** A line that crosses no opening parts regions or, lifting, joins those on both sides of the ink that it crosses. */
  private async draw(line: Point[], lifting: boolean): Promise<void> {
    this.hand.said.set(lifting ? "Joining the regions" : "Drawing the dam");
    try {
      if (await this.newCells.draw(lifting ? "joins" : "dams", line)) {
        this.hand.said.set(lifting ? "Joined the regions, for filling" : "Drew a dam");
        return;
      }
      this.hand.said.set("Nothing was changed");
      if (lifting) {
        this.work.notice.set(JOINS_NOTHING);
      } else {
        this.showLoose(line);
      }
    } catch (error) {
      this.hand.said.set("Nothing was changed");
      this.work.notice.set(
        error instanceof Refusal
          ? error.message
          : "The server did not answer, so the line was not kept. Draw it again when it is back.",
      );
    }
  }

  /** A line that parts nothing: rings show its ends, and one act extends them. */
  private showLoose(line: readonly Point[]): void {
    this.loose = line;
    this.overlay.shapes([], line.length > 0 ? [line] : [], line.length > 0 ? [line[0]!, line.at(-1)!] : []);
    byId("dam-loose").hidden = line.length === 0;
  }

  private async extend(): Promise<void> {
    const line = [...this.loose];
    this.showLoose([]);
    try {
      if (await this.newCells.draw("dams/extended", line)) {
        this.hand.said.set("Drew a dam");
      } else {
        this.work.notice.set(PARTS_NOTHING);
      }
    } catch (error) {
      this.work.notice.set((error as Error).message);
    }
  }

  private meant(): Opening[] {
    return this.brushing
      ? this.regions.openingsBrushed(this.points, this.brushRadius, this.lifting)
      : this.regions.openingsCrossed(this.points);
  }

  private get brushRadius(): number {
    return BRUSH_PX / this.view.camera.scale;
  }
}
