import type { LightLook } from "messages";
import { all, byId } from "../shared/dom";
import { call } from "../shared/http";
import { button, el } from "../shared/build";
import { LightText, type Rule } from "./light-text";

const SETTLING_MS = 90;

/** Making a light: every change is seen on cards and sheets before it is taken. */
export function makeLight(page: HTMLElement): void {
  const { project, light } = page.dataset as { project: string; light: string };
  let kept = LightText.read(page.dataset["text"]!);
  let keptName = page.dataset["name"]!;
  let made = LightText.read(kept.text());
  let pictured = made.text();
  let settling: number | undefined;
  let asked = 0;

  const title = byId<HTMLInputElement>("light-title");
  const who = byId<HTMLSelectElement>("light-who");
  const colour = byId<HTMLInputElement>("light-colour");
  const hex = byId<HTMLInputElement>("light-hex");
  const blend = byId<HTMLSelectElement>("light-blend");
  const sliders = all<HTMLInputElement>("input[data-part]", page);
  const parts = all(".light-part", page);
  const shown = parts.map((part) => part.dataset["swatch"]!);

  who.addEventListener("change", showRule);
  title.addEventListener("input", look);
  colour.addEventListener("input", () => change({ tint: colour.value }));
  hex.addEventListener("change", () => {
    if (/^#?[0-9a-f]{6}$/i.test(hex.value.trim())) {
      change({ tint: `#${hex.value.trim().replace("#", "").toLowerCase()}` });
    } else {
      showRule();
    }
  });
  blend.addEventListener("change", () => change({ blend: blend.value }));
  for (const slider of sliders) {
    slider.addEventListener("input", () => change({ [slider.dataset["part"]!]: slider.valueAsNumber }));
    slider.addEventListener("dblclick", () => change({ [slider.dataset["part"]!]: 0 }));
  }
  byId("light-as-all").addEventListener("click", () => {
    made.byCard.delete(who.value);
    showRule();
    look();
  });
  byId<HTMLSelectElement>("light-except").addEventListener("change", (event) => {
    const select = event.target as HTMLSelectElement;
    except(select.value, "drawn");
    select.value = "";
  });
  for (const part of parts) {
    part.addEventListener("click", () => {
      const swatch = part.dataset["swatch"]!;
      except(swatch, made.exceptions.has(swatch) ? undefined : "drawn");
    });
  }
  byId("light-take").addEventListener("click", () => void take());
  byId("light-leave").addEventListener("click", () => {
    made = LightText.read(kept.text());
    title.value = keptName;
    showRule();
    showExceptions();
    look();
  });

  function rule(): Rule {
    return made.byCard.get(who.value) ?? made.all;
  }

  function change(part: Partial<Rule>): void {
    const changed = { ...rule(), ...part };
    if (who.value) {
      made.byCard.set(who.value, changed);
    } else {
      made.all = changed;
    }
    showRule();
    look();
  }

  function except(swatch: string, as: string | undefined): void {
    if (as) {
      made.exceptions.set(swatch, as);
    } else {
      made.exceptions.delete(swatch);
    }
    showExceptions();
    look();
  }

  function showRule(): void {
    const present = rule();
    colour.value = present.tint;
    hex.value = present.tint;
    blend.value = present.blend;
    for (const slider of sliders) {
      const value = present[slider.dataset["part"] as "strength"];
      slider.value = String(value);
      slider.nextElementSibling!.textContent = said(slider.dataset["part"]!, value);
    }
    const isOwn = made.byCard.has(who.value);
    byId("light-as-all").hidden = !isOwn;
    byId("light-own").textContent = !who.value
      ? "goes for every card without a rule of its own"
      : isOwn
        ? "is its own"
        : "is that for all, until something is changed here";
  }

  function said(part: string, value: number): string {
    const sign = value > 0 && part !== "strength" ? "+" : "";
    return `${sign}${value}${part === "hue" ? "°" : part === "lightness" ? "" : " %"}`;
  }

  function showExceptions(): void {
    const rows = [...made.exceptions].map(([swatch, as]) => {
      const part = parts.find((each) => each.dataset["swatch"] === swatch);
      const name = part ? `${part.dataset["card"]}, ${part.dataset["name"]}` : "a part not seen here";
      const drawn = part?.querySelector("path")!.getAttribute("fill") ?? "#808080";
      return el(
        "li",
        {},
        el("strong", {}, name),
        el(
          "select",
          {
            "aria-label": `${name} shows`,
            change: (event: Event) =>
              except(swatch, (event.target as HTMLSelectElement).value === "drawn" ? "drawn" : drawn),
          },
          el("option", { value: "drawn", selected: as === "drawn" }, "as drawn"),
          el("option", { value: "own", selected: as !== "drawn" }, "a colour of its own"),
        ),
        as === "drawn"
          ? ""
          : el("input", {
              type: "color",
              value: as,
              "aria-label": `Colour of ${name}`,
              change: (event: Event) => except(swatch, (event.target as HTMLInputElement).value),
            }),
        button("button", "By the rule", () => except(swatch, undefined)),
      );
    });
    byId("light-exceptions").replaceChildren(...rows);
  }

  /** Shows what it does, once the hand rests for a moment. */
  function look(): void {
    const isKept = made.text() === kept.text() && title.value.trim() === keptName;
    byId("light-state").textContent = isKept ? "As it is kept." : "Seen here only; nothing is taken yet.";
    clearTimeout(settling);
    settling = setTimeout(() => void lookNow(), SETTLING_MS);
  }

  async function lookNow(): Promise<void> {
    const at = ++asked;
    const text = made.text();
    try {
      const seen = await call<LightLook>(`/projects/${project}/lights/look`, {
        name: title.value || "Light",
        text,
        shown,
      });
      if (at === asked) {
        show(seen);
        // The page came with pictures under the light as it is kept.
        for (const picture of text === pictured ? [] : all<HTMLImageElement>("img[data-sheet]", page)) {
          picture.src = `${picture.src.split("?")[0]}?rule=${encodeURIComponent(text)}`;
        }
        pictured = text;
        page.dataset["seen"] = text;
      }
    } catch (error) {
      byId("light-state").textContent = (error as Error).message;
    }
  }

  function show(seen: LightLook): void {
    for (const part of parts) {
      const swatch = part.dataset["swatch"]!;
      part.querySelector(".lit")!.setAttribute("fill", seen.colours[swatch]!);
      const isOutside = seen.outside.includes(swatch);
      const isException = made.exceptions.has(swatch);
      part.querySelector(".light-mark")!.textContent = isException
        ? "exception"
        : isOutside
          ? "out of gamut"
          : "";
    }
    const alike = seen.alike.map(({ said: words }) => el("li", {}, words));
    byId("light-warnings").replaceChildren(
      ...(seen.outside.length > 0
        ? [
            el(
              "p",
              {},
              `${seen.outside.length === 1 ? "1 part asks" : `${seen.outside.length} parts ask`} for a colour that a screen cannot show; the nearest is shown.`,
            ),
          ]
        : []),
      ...(alike.length > 0
        ? [el("p", {}, "Hard to tell apart under this light:"), el("ul", { tabindex: 0 }, ...alike)]
        : []),
    );
  }

  async function take(): Promise<void> {
    try {
      show(
        await call<LightLook>(`/projects/${project}/lights/${light}`, {
          name: title.value,
          text: made.text(),
          shown,
        }),
      );
      kept = LightText.read(made.text());
      keptName = title.value.trim();
      document.querySelector('.light-tabs [aria-current="page"]')!.textContent = keptName;
      byId("light-state").textContent = "Taken, on every sheet that has this light.";
    } catch (error) {
      byId("light-state").textContent = (error as Error).message;
    }
  }

  showRule();
  showExceptions();
  void lookNow();
}
