// Server-sent events in htmx, for pages that follow what others do. Order matters.
import "./htmx-global";
import "htmx.org/dist/ext/hx-sse.js";
