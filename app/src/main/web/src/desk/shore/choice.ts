import { all, byId } from "../../shared/dom";
import { callHeaders } from "../../shared/http";
import type { Work } from "../model/work";
import type { Shore } from "./shore";

/** Chooses which cards lie on the shore of this sheet, and in which order. */
export function chooseCards(path: string, shore: Shore, work: Work): void {
  byId("shore").addEventListener("change", (event) => {
    if ((event.target as Element).closest("#shore-choice")) {
      void send();
    }
  });
  byId("shore").addEventListener("click", (event) => {
    const lift = (event.target as Element).closest<HTMLElement>("[data-lift]");
    const row = lift?.closest<HTMLElement>("[data-card]");
    const before = row?.previousElementSibling;
    if (row && before?.matches("[data-card]")) {
      before.before(row);
      void send();
    }
  });

  async function send(): Promise<void> {
    const rows = all<HTMLElement>("#shore-choice [data-card]");
    const chosen = rows.filter((row) => row.querySelector<HTMLInputElement>("input")!.checked);
    const response = await work.inTurn(() =>
      fetch(`${path}/shore`, {
        method: "POST",
        headers: { ...callHeaders(), "Content-Type": "application/json" },
        body: JSON.stringify(chosen.map((row) => row.dataset["card"])),
      }),
    );
    if (response.ok) {
      shore.renew(await response.text());
    }
  }
}
