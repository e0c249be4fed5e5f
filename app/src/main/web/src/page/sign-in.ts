import { all } from "../shared/dom";

const TYPED = "pond/signing-in-as";

/** The place that a link named goes along through signing in, and after a wrong password the name stands there still. */
export function signIn(page: HTMLElement): void {
  for (const form of all<HTMLFormElement>("form", page)) {
    form.action += location.hash;
  }
  const name = page.querySelector<HTMLInputElement>("input[name=username]")!;
  name.form!.addEventListener("submit", () => sessionStorage.setItem(TYPED, name.value));
  if (page.querySelector("form [role=alert]")) {
    name.value = sessionStorage.getItem(TYPED) ?? "";
    page.querySelector<HTMLInputElement>(name.value === "" ? "[name=username]" : "[name=password]")!.focus();
  }
  sessionStorage.removeItem(TYPED);
}
