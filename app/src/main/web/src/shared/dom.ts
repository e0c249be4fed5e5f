/** The element with this id, which the page is known to have. */
export function byId<T extends HTMLElement = HTMLElement>(id: string): T {
  const element = document.getElementById(id);
  if (!element) {
    throw new Error(`The page has no #${id}.`);
  }
  return element as T;
}

export function all<T extends Element = HTMLElement>(selector: string, within: ParentNode = document): T[] {
  return [...within.querySelectorAll<T>(selector)];
}
