import { callHeaders, Refusal } from "./http";

/**
 * Sends a body and is answered with JSON. fetch does not tell how much has been sent, so this is the older way.
 *
 * @param progress called with how much has been sent, 0 to 100
 * @param signal stops it
 */
export function upload<T>(
  path: string,
  body: FormData | File,
  progress: (percent: number) => void,
  signal: AbortSignal,
): Promise<T> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open("POST", path);
    for (const [name, value] of Object.entries(callHeaders())) {
      request.setRequestHeader(name, value);
    }
    if (body instanceof File) {
      request.setRequestHeader("Content-Type", "application/octet-stream");
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
    request.send(body);
  });
}
