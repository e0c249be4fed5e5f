declare module "@alpinejs/csp" {
  import type { Alpine } from "alpinejs";
  const alpine: Alpine;
  export default alpine;
}

declare module "htmx.org" {
  /** What its events tell of a request. */
  export interface HtmxEvent {
    readonly ctx: { readonly request: { readonly method: string; readonly headers: Record<string, string> } };
  }
  const htmx: {
    ajax(verb: string, address: string, how: { target: string; swap: string }): Promise<void>;
  };
  export default htmx;
}
