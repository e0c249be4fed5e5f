import { byId } from "../../shared/dom";
import type { Regions } from "../model/regions";
import type { Work } from "../model/work";

const BARS = 60;

/**
 * The reach, standing on the distribution of the sheet's openings. To the right more is dammed: its value is one less the level. The sheet shows what
 * would be so while it is dragged; it is taken on letting go.
 */
export class ReachSlider {
  private readonly slider = byId<HTMLInputElement>("reach");

  constructor(
    private readonly regions: Regions,
    private readonly work: Work,
  ) {
    this.slider.addEventListener("input", () => {
      regions.preview(this.level);
      this.say();
    });
    this.slider.addEventListener("change", () => {
      const level = this.level;
      regions.preview(undefined);
      work.dam(new Map(), level);
    });
    byId("reach-default").addEventListener("click", () =>
      this.work.dam(new Map(), regions.map.layer.defaultReach()),
    );
    regions.changed.subscribe(() => {
      this.slider.value = String(1 - regions.reach);
      this.say();
    });
    this.drawHills();
  }

  private get level(): number {
    return Math.min(1, Math.max(0, 1 - Number(this.slider.value)));
  }

  private say(): void {
    // What somebody has said about a gap does not move with the reach.
    const byReach = this.regions.openings.filter(
      (each) => this.regions.isShut(each) && !each.byHand && this.regions.stateOf(each.index) === "BY_REACH",
    );
    const widest = Math.max(0, ...byReach.map((each) => each.widthPx));
    byId("reach-said").textContent =
      byReach.length === 0 ? "dams nothing by itself" : `dams up to ${Math.round(widest)} px`;
  }

  private drawHills(): void {
    const counts = new Array<number>(BARS).fill(0);
    for (const { strength, byHand } of this.regions.openings) {
      if (!byHand) {
        counts[Math.min(BARS - 1, Math.floor((1 - strength) * BARS))]! += 1;
      }
    }
    const most = Math.max(1, ...counts);
    const points = counts.map((count, i) => `${i + 0.5},${22 - 20 * Math.sqrt(count / most)}`);
    byId("reach-hills").setAttribute("points", `0,22 ${points.join(" ")} ${BARS},22`);
  }
}
