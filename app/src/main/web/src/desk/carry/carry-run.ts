import type { Laid } from "messages";
import { countedPlaces } from "../model/places";
import { all, byId } from "../../shared/dom";
import { call } from "../../shared/http";

/** Carries along a run of sheets: from this one to the next of the scene, from there to the one after, and so on; what is sure is laid, on each sheet as one change. */
export class CarryRun {
  private readonly button = byId<HTMLButtonElement>("carry-run");
  private isRunning = false;
  private isCancelled = false;

  constructor(
    private readonly path: string,
    private readonly models: () => string[],
  ) {
    this.button.disabled = this.following.length === 0;
    this.button.addEventListener("click", () => {
      if (this.isRunning) {
        this.isCancelled = true;
      } else {
        void this.run();
      }
    });
  }

  /** The sheets behind this one in the strip. */
  private get following(): { path: string; title: string }[] {
    const links = all<HTMLAnchorElement>(".strip-sheet");
    const here = links.findIndex((link) => link.getAttribute("aria-current") === "page");
    return links.slice(here + 1).map((link) => ({ path: link.pathname, title: link.title }));
  }

  private async run(): Promise<void> {
    this.isRunning = true;
    this.isCancelled = false;
    this.button.textContent = "Stop after this sheet";
    const sheets = this.following;
    const said = byId("carry-run-said");
    const done: string[] = [];
    let from = this.path.split("/").pop()!;
    for (const [i, { path, title }] of sheets.entries()) {
      if (this.isCancelled) {
        break;
      }
      said.textContent = `${title}, ${i + 1} of ${sheets.length}. ${done.join(" ")}`;
      try {
        const sources = [...new Set([from, ...this.models()])];
        const { sure, doubtful, strokes, shadows } = await call<Laid>(`${path}/carry/sure`, {
          sources: sources.filter((source) => !path.endsWith(source)),
          overFilled: false,
        });
        const along = countedPlaces(0, strokes, shadows);
        const lines = along ? `, with ${along}` : "";
        done.push(`${title}: ${sure} laid${lines}, ${doubtful} in doubt.`);
      } catch (error) {
        done.push(`${title}: ${(error as Error).message}`);
      }
      from = path.split("/").pop()!;
    }
    said.textContent = `${this.isCancelled ? "Stopped. " : ""}${done.join(" ")}`;
    this.button.textContent = "Carry on to the next sheets";
    this.isRunning = false;
  }
}
