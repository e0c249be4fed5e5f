import alpine from "@alpinejs/csp";
import { byId } from "../shared/dom";
import { registerMenu } from "../shared/menu";
import { bringFile, startScene, type BroughtSheet, type Scene } from "./upload";

registerMenu(alpine);
alpine.start();

const project = byId("bring").dataset["project"]!;
const scenes = byId<HTMLSelectElement>("scene");
const sceneTitle = byId<HTMLInputElement>("scene-title");
const landing = byId("landing");
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

/** Brings the files in one after the other, in the order of their names; one that fails does not stop the others. */
async function bringAll(chosen: File[]): Promise<void> {
  const rows = chosen
    .sort((a, b) => a.name.localeCompare(b.name, undefined, { numeric: true }))
    .map((file) => ({ file, row: addRow(file.name) }));
  for (const { file, row } of rows) {
    try {
      const scene = await chosenScene();
      showBrought(row, await bringFile(project, scene, file, (percent) => showPercent(row, percent)));
    } catch (error) {
      showRefused(row, error instanceof Error ? error.message : "It could not be brought in.");
    }
  }
}

function addRow(name: string): HTMLElement {
  const row = document.createElement("li");
  row.append(element("span", "brought-name", name), element("span", "brought-state quiet", "waiting"));
  byId("brought").append(row);
  return row;
}

function showPercent(row: HTMLElement, percent: number): void {
  setState(row, percent < 100 ? `${percent} % sent` : "finding its regions");
}

function showBrought(row: HTMLElement, sheet: BroughtSheet): void {
  const picture = new Image();
  picture.src = sheet.picture;
  picture.alt = "";
  const link = document.createElement("a");
  link.href = sheet.address;
  link.className = "button";
  link.textContent = "Open on the desk";
  row.prepend(picture);
  setState(row, `${sheet.widthPx} × ${sheet.heightPx} px, ${sheet.regions} regions`);
  row.append(link);
}

function showRefused(row: HTMLElement, reason: string): void {
  row.classList.add("is-refused");
  setState(row, `Not taken: ${reason}`);
}

function setState(row: HTMLElement, text: string): void {
  row.querySelector(".brought-state")!.textContent = text;
}

function element(tag: string, className: string, text: string): HTMLElement {
  const made = document.createElement(tag);
  made.className = className;
  made.textContent = text;
  return made;
}

scenes.addEventListener("change", showSceneTitle);
files.addEventListener("change", () => {
  void bringAll([...(files.files ?? [])]);
  files.value = "";
});
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
