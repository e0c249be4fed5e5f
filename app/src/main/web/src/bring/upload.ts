import type { BroughtSheet, Scene } from "messages";
import { callHeaders, Refusal } from "../shared/http";

export type { BroughtSheet, Scene };

export function startScene(project: string, title: string): Promise<Scene> {
  const form = new FormData();
  form.set("title", title);
  return post<Scene>(`/projects/${project}/scenes`, form, () => {}, new AbortController().signal);
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
  return post<BroughtSheet>(`/projects/${project}/scenes/${scene}/sheets`, form, progress, signal);
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
  return post<BroughtSheet>(`/projects/${project}/scenes/${scene}/layered-sheets`, form, progress, signal);
}

/** fetch does not tell how much has been sent, so this is the older way. */
function post<T>(
  path: string,
  form: FormData,
  progress: (percent: number) => void,
  signal: AbortSignal,
): Promise<T> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open("POST", path);
    for (const [name, value] of Object.entries(callHeaders())) {
      request.setRequestHeader(name, value);
    }
    request.responseType = "json";
    request.upload.addEventListener("progress", (event) =>
      progress(Math.floor((100 * event.loaded) / event.total)),
    );
    signal.addEventListener("abort", () => request.abort());
    request.addEventListener("abort", () => reject(new Error("Stopped; nothing of it was kept.")));
    request.addEventListener("error", () =>
      reject(new Error("The connection broke off; nothing of it was kept.")),
    );
    request.addEventListener("load", () => {
      if (request.status < 400) {
        resolve(request.response as T);
      } else {
        const problem = request.response as { detail?: string } | null;
        reject(new Refusal(request.status, problem?.detail ?? "The server could not take it."));
      }
    });
    request.send(form);
  });
}
