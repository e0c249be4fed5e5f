import alpine from "@alpinejs/csp";
import { button, el } from "../shared/build";
import { all, byId } from "../shared/dom";
import { registerMenu } from "../shared/menu";
import { goToSearchByKey } from "../shared/search-key";
import { bringFile, bringLayers, startScene, type BroughtSheet, type Scene } from "./upload";

registerMenu(alpine);
goToSearchByKey();
alpine.start();

const project = byId("bring").dataset["project"]!;
/** More at once is nearly always a folder dropped by mistake. */
const MOST_FILES = Number(byId("bring").dataset["maxFiles"]);
const scenes = byId<HTMLSelectElement>("scene");
const sceneTitle = byId<HTMLInputElement>("scene-title");
const landing = byId("landing");
const vector = byId<HTMLInputElement>("vector");
const files = byId<HTMLInputElement>("files");

function showSceneTitle(): void {
  sceneTitle.hidden = scenes.value !== "";
}

async function chosenScene(): Promise<string> {
  if (scenes.value !== "") {
    return scenes.value;
  }
  const scene: Scene = await startScene(project, sceneTitle.value);
  const option = new Option(scene.title, scene.id, false, true);
  scenes.add(option, scenes.options.length - 1);
  showSceneTitle();
  return scene.id;
}

/** Brings the files in one after the other, in the order of their names; one that fails does not stop the others. Or all of them as one sheet. */
async function bringAll(chosen: File[]): Promise<void> {
  if (chosen.length > MOST_FILES) {
    const row = addRow(`${chosen.length} files`);
    showRefused(row.element, `up to ${MOST_FILES} can be brought in at a time. None was sent; choose fewer.`);
    return;
  }
  const files = chosen.sort((a, b) => a.name.localeCompare(b.name, undefined, { numeric: true }));
  if (
    all<HTMLInputElement>("input", byId("bring-as")).some(
      ({ value, checked }) => checked && value === "layers",
    )
  ) {
    await bring(addRow(files.map(({ name }) => name).join(", ")), layered(files));
    return;
  }
  const rows = files.map((file) => ({ file, row: addRow(file.name) }));
  for (const { file, row } of rows) {
    await bring(row, isLayered(file) ? layered([file]) : single(file));
  }
}

/** A file that says of itself that it consists of layers. */
function isLayered({ name }: File): boolean {
  return name.toLowerCase().endsWith(".ora");
}

type Bringing = (scene: string, show: (percent: number) => void, stop: AbortSignal) => Promise<BroughtSheet>;

function single(file: File): Bringing {
  return (scene, show, stop) => bringFile(project, scene, { file, vectorPx: vector.value }, show, stop);
}

function layered(files: readonly File[]): Bringing {
  return (scene, show, stop) => bringLayers(project, scene, { files, vectorPx: vector.value }, show, stop);
}

async function bring(row: Row, bringing: Bringing): Promise<void> {
  try {
    row.stop.throwIfAborted();
    const show = (percent: number) => showPercent(row.element, percent);
    showBrought(row.element, await bringing(await chosenScene(), show, row.stop));
  } catch (error) {
    const reason = row.stop.aborted ? "you stopped it. Nothing of it was kept." : messageOf(error);
    showRefused(row.element, reason);
  }
}

/** One file on its way, and what stops it. */
interface Row {
  readonly element: HTMLElement;
  readonly stop: AbortSignal;
}

function addRow(name: string): Row {
  const stopping = new AbortController();
  const row = el(
    "li",
    {},
    el("span", { className: "brought-name font-medium" }, name),
    el("span", { className: "brought-state quiet flex-1" }, "waiting"),
    button("button brought-stop", "Stop", () => stopping.abort()),
  );
  byId("brought").append(row);
  return { element: row, stop: stopping.signal };
}

function messageOf(error: unknown): string {
  return error instanceof Error ? error.message : "It could not be brought in.";
}

function showPercent(row: HTMLElement, percent: number): void {
  setState(row, percent < 100 ? `${percent} % sent` : "finding its regions");
}

function showBrought(row: HTMLElement, sheet: BroughtSheet): void {
  row.prepend(el("img", { src: sheet.picture, alt: "" }));
  row.querySelector(".brought-stop")?.remove();
  setState(
    row,
    `${sheet.widthPx} × ${sheet.heightPx} px, ${sheet.layers === 1 ? "" : `${sheet.layers} layers, `}${sheet.regions} ${sheet.regions === 1 ? "region" : "regions"} before its gaps are found` +
      sheet.leftOut.map((what) => `, without ${what}`).join(""),
  );
  row.append(el("a", { href: sheet.address, className: "button" }, "Open on the desk"));
}

function showRefused(row: HTMLElement, reason: string): void {
  row.classList.add("is-refused");
  row.querySelector(".brought-stop")?.remove();
  setState(row, `Not taken: ${reason}`);
}

function setState(row: HTMLElement, text: string): void {
  row.querySelector(".brought-state")!.textContent = text;
}

scenes.addEventListener("change", showSceneTitle);
files.addEventListener("change", takeChosen);
// Somebody may have chosen before this script was there.
takeChosen();

function takeChosen(): void {
  const chosen = [...(files.files ?? [])];
  files.value = "";
  if (chosen.length > 0) {
    void bringAll(chosen);
  }
}
for (const kind of ["dragover", "dragenter"]) {
  landing.addEventListener(kind, (event) => {
    event.preventDefault();
    landing.classList.add("is-over");
  });
}
landing.addEventListener("dragleave", () => landing.classList.remove("is-over"));
landing.addEventListener("drop", (event) => {
  event.preventDefault();
  landing.classList.remove("is-over");
  void bringAll([...(event.dataTransfer?.files ?? [])]);
});
showSceneTitle();
