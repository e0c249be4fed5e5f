declare module "@alpinejs/focus" {
  import type { PluginCallback } from "alpinejs";
  const focus: PluginCallback;
  export default focus;
}

declare module "@alpinejs/sort" {
  import type { PluginCallback } from "alpinejs";
  const sort: PluginCallback;
  export default sort;
}

declare module "@alpinejs/csp" {
  import type { Alpine } from "alpinejs";
  const alpine: Alpine;
  export default alpine;
}

declare module "htmx.org" {
  /** A request on its way. */
  export interface HtmxContext {
    readonly request: { readonly method: string; readonly headers: Record<string, string> };
  }
  /** What its events tell. */
  export interface HtmxEvent {
    readonly ctx: HtmxContext;
  }
  const htmx: {
    ajax(
      verb: string,
      address: string,
      how: { target: string; swap: string; select?: string },
    ): Promise<void>;
  };
  export default htmx;
}
