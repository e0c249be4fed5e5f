import htmx from "htmx.org";

/** Brings a part of the page as the server has it now. @param id of the part */
export function renewPart(id: string): Promise<void> {
  const part = `#${id}`;
  return htmx.ajax("GET", location.pathname + location.search, {
    target: part,
    select: part,
    swap: "outerHTML",
  });
}
