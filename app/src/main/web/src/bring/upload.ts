import type { BroughtSheet, Scene } from "messages";
import { upload } from "../shared/upload";

export type { BroughtSheet, Scene };

export function startScene(project: string, title: string): Promise<Scene> {
  const form = new FormData();
  form.set("title", title);
  return upload<Scene>(`/projects/${project}/scenes`, form, () => {}, new AbortController().signal);
}

/**
 * @param progress called with how much of the file has been sent, 0 to 100
 * @param signal stops it
 */
export function bringFile(
  project: string,
  scene: string,
  { file, vectorPx }: { file: File; vectorPx: string },
  progress: (percent: number) => void,
  signal: AbortSignal,
): Promise<BroughtSheet> {
  const form = new FormData();
  form.set("file", file);
  if (vectorPx !== "") {
    form.set("vectorPx", vectorPx);
  }
  return upload<BroughtSheet>(`/projects/${project}/scenes/${scene}/sheets`, form, progress, signal);
}

/** Files as the layers of one sheet, the first in front. */
export function bringLayers(
  project: string,
  scene: string,
  { files, vectorPx }: { files: readonly File[]; vectorPx: string },
  progress: (percent: number) => void,
  signal: AbortSignal,
): Promise<BroughtSheet> {
  const form = new FormData();
  files.forEach((file) => form.append("file", file));
  if (vectorPx !== "") {
    form.set("vectorPx", vectorPx);
  }
  return upload<BroughtSheet>(`/projects/${project}/scenes/${scene}/layered-sheets`, form, progress, signal);
}
