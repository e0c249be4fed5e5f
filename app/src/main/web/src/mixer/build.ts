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

/** A small round button that shows a colour. */
export function chip(hex: string, label: string, take: () => void): HTMLButtonElement {
  const button = el("button", {
    type: "button",
    className: "chip",
    title: label,
    "aria-label": label,
    click: take,
  });
  button.style.backgroundColor = hex;
  return button;
}
