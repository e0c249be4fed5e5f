import type { Part } from "../desk/model/state";
import { PAGE } from "./http";

/** What of a sheet has changed. */
export type SheetPart = Exclude<Part, "PALETTE">;

/** Somebody on a sheet. */
export interface Presence {
  readonly sheet: string;
  /** The page that it is heard from. */
  readonly page: string;
  readonly name: string;
  /** A cell of the region pointed at, if one is. */
  readonly cell: number | undefined;
  readonly isGone: boolean;
}

/** Listens to what other pages change in a project; the browser asks again by itself when the line breaks. */
export class Live {
  private readonly source: EventSource;

  constructor(project: string) {
    this.source = new EventSource(`/projects/${project}/live`);
    window.addEventListener("pagehide", () => this.source.close());
  }

  onPalette(changed: () => void): void {
    this.on("palette", ([, page]) => {
      if (page !== PAGE) {
        changed();
      }
    });
    this.onGap(changed);
  }

  /** @param changed told of all parts, one after the other, when something may have been missed */
  onSheet(id: string, changed: Record<SheetPart, () => void>): void {
    this.on("sheet", ([sheet, part, , page]) => {
      if (sheet === id && page !== PAGE) {
        changed[part as SheetPart]();
      }
    });
    this.onGap(() => Object.values(changed).forEach((each) => each()));
  }

  onPresence(heard: (presence: Presence) => void): void {
    this.on("presence", ([sheet, where, page, ...name]) => {
      if (page !== PAGE) {
        const cell = /^\d+$/.test(where!) ? Number(where) : undefined;
        heard({ sheet: sheet!, page: page!, name: name.join(" "), cell, isGone: where === "gone" });
      }
    });
  }

  private on(name: string, heard: (words: string[]) => void): void {
    this.source.addEventListener(name, (event) => heard((event as MessageEvent<string>).data.split(" ")));
  }

  /** After a time in which nothing could be heard. */
  private onGap(lookAgain: () => void): void {
    let wasOpen = false;
    this.source.addEventListener("open", () => {
      if (wasOpen) {
        lookAgain();
      }
      wasOpen = true;
    });
    this.source.addEventListener("again", lookAgain);
  }
}
