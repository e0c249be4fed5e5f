import { el } from "../../shared/build";

/** Leads to where something of this sheet is sent to the cutter. @param what as the page of handing on is asked */
export function cutLink(what: Record<string, string>, name: string): HTMLElement {
  return el(
    "a",
    {
      href: `${location.pathname}/hand-on?${new URLSearchParams(what).toString()}#cut`,
      title: "Cut this colour from film",
      "aria-label": `Cut ${name}`,
      className:
        "cut-link absolute top-[50%] right-[14px] py-0 px-[9px] border border-line rounded-[99px] bg-white text-inherit no-underline opacity-0 [translate:0_-50%] focus-visible:opacity-100",
    },
    "Cut",
  );
}
