declare module "@alpinejs/csp" {
  import type { Alpine } from "alpinejs";
  const alpine: Alpine;
  export default alpine;
}

declare module "htmx.org" {
  const htmx: {
    ajax(verb: string, address: string, how: { target: string; swap: string }): Promise<void>;
  };
  export default htmx;
}
