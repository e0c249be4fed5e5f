// Server-sent events in htmx, for pages that follow what others do. The first import goes before the second.
import "./htmx-global";
import "htmx.org/dist/ext/hx-sse.js";
import type { PaletteChanged } from "messages";
import type { HtmxEvent } from "htmx.org";
import { PAGE } from "./http";

/** What the extension tells of a message before it is heard. */
interface SseMessage {
  readonly message: { readonly event: string; readonly data: string };
}

// What this page does itself it shows already, with what is said about it.
document.addEventListener("htmx:config:request", ({ detail }: CustomEventInit<HtmxEvent>) => {
  detail!.ctx.request.headers["X-Pond-Page"] = PAGE;
});
document.addEventListener("htmx:sse:before:message", (event) => {
  const { message } = (event as CustomEvent<SseMessage>).detail;
  if (message.event === "palette" && (JSON.parse(message.data) as PaletteChanged).page === PAGE) {
    event.preventDefault();
  }
});
