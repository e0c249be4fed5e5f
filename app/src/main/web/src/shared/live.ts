import type { PaletteChanged, Part, Presence, SheetChanged } from "messages";
import { PAGE } from "./http";

/** What of a sheet has changed. */
export type SheetPart = Exclude<Part, "PALETTE">;

/** Listens to what other pages change in a project; the browser asks again by itself when the line breaks. */
export class Live {
  private readonly source: EventSource;

  constructor(project: string) {
    this.source = new EventSource(`/projects/${project}/live`);
    window.addEventListener("pagehide", () => this.source.close());
  }

  onPalette(changed: () => void): void {
    this.on<PaletteChanged>("palette", changed);
    this.onGap(changed);
  }

  /** @param changed told of all parts, one after the other, when something may have been missed */
  onSheet(id: string, changed: Record<SheetPart, () => void>): void {
    this.on<SheetChanged>("sheet", ({ sheet, part }) => {
      if (sheet === id) {
        changed[part as SheetPart]();
      }
    });
    this.onGap(() => Object.values(changed).forEach((each) => each()));
  }

  onPresence(heard: (presence: Presence) => void): void {
    this.on<Presence>("presence", heard);
  }

  /** Hears of what other pages than this one did. */
  private on<T extends { readonly page: string | null }>(name: string, heard: (message: T) => void): void {
    this.source.addEventListener(name, (event) => {
      const message = JSON.parse((event as MessageEvent<string>).data) as T;
      if (message.page !== PAGE) {
        heard(message);
      }
    });
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
