/** Makes an element with properties, attributes (named with a dash or in lower case) and children. */
export function el<K extends keyof HTMLElementTagNameMap>(
  tag: K,
  properties: Partial<Record<string, string | number | boolean | ((event: never) => void)>> = {},
  ...children: (Node | string)[]
): HTMLElementTagNameMap[K] {
  const element = document.createElement(tag);
  for (const [name, value] of Object.entries(properties)) {
    if (typeof value === "function") {
      element.addEventListener(name, value as (event: Event) => void);
    } else if (typeof value === "boolean") {
      element.toggleAttribute(name, value);
    } else if (value !== undefined) {
      element.setAttribute(name === "className" ? "class" : name, String(value));
    }
  }
  element.append(...children);
  return element;
}

type Properties = Parameters<typeof el>[1];

/** A button that sends no form. */
export function button(
  className: string,
  label: string,
  click: (event: MouseEvent) => void,
  properties: Properties = {},
): HTMLButtonElement {
  return el("button", { type: "button", className, ...properties, click }, label);
}

/** Calls back while an element is pointed at or has the focus. */
export function whilePointedAt(element: HTMLElement, begin: () => void, end: () => void): void {
  element.addEventListener("pointerenter", begin);
  element.addEventListener("pointerleave", end);
  element.addEventListener("focus", begin);
  element.addEventListener("blur", end);
}

/** A small round button that shows a colour. */
export function chip(hex: string, label: string, take: () => void): HTMLButtonElement {
  const made = button(
    "w-[26px] h-[26px] border border-[oklch(0_0_0_/_0.25)] rounded-[46%_54%_51%_49%_/_50%_47%_53%_50%]",
    "",
    take,
    { title: label, "aria-label": label },
  );
  made.style.backgroundColor = hex;
  return made;
}
