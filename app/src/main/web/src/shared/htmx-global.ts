import htmx from "htmx.org";

// Extensions of htmx look for it there.
Object.assign(globalThis, { htmx });
