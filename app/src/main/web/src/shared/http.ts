/** A problem detail (RFC 9457); {@code change} names the one of several changes that it is about. */
interface Problem {
  detail?: string;
  change?: string;
}

/** A call that the server answered with an error; the message is for the user to read. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly change?: string,
  ) {
    super(message);
  }
}

/** A call that nobody answered; the message is for the user to read. */
export class Away extends Error {
  constructor() {
    super("The server is away just now. Nothing was changed; try again when it is back.");
  }
}

/** A message as it may be sent: what would be null can be left out. */
export type Sent<T> = T extends unknown
  ? { readonly [K in keyof T as null extends T[K] ? never : K]: T[K] } & {
      readonly [K in keyof T as null extends T[K] ? K : never]?: T[K];
    }
  : never;

/** This page, as long as it is open: what it changes itself it need not be told. */
export const PAGE = crypto.randomUUID();

/** The layer that this page works on, if its address names one. */
export const LAYER = new URLSearchParams(location.search).get("layer");

/** An address of the sheet of this page, about the layer that it works on. */
export function onLayer(path: string): string {
  const isHere = LAYER !== null && path.startsWith(`${location.pathname}/`);
  return isHere ? `${path}${path.includes("?") ? "&" : "?"}layer=${LAYER}` : path;
}

/** The headers that every scripted call carries: who asks, and the token that shows it is our own page. */
export function callHeaders(): Record<string, string> {
  const token = meta("csrf-token");
  return {
    "X-Requested-With": "desk",
    "X-Pond-Page": PAGE,
    ...(token ? { "X-CSRF-TOKEN": token } : {}),
  };
}

/** Asks for JSON; nothing comes of a call that has no answer. Throws a {@link Refusal} for an error answer, and {@link Away} when nobody answers. */
export async function call<T>(path: string, body?: unknown): Promise<T> {
  const headers = { ...callHeaders(), ...(body === undefined ? {} : { "Content-Type": "application/json" }) };
  const response = await ask(path, {
    method: body === undefined ? "GET" : "POST",
    headers,
    body: body === undefined ? null : JSON.stringify(body),
  });
  if (!response.ok) {
    throw await refusal(response);
  }
  return (response.status === 204 ? undefined : await response.json()) as T;
}

/** Asks for an answer that comes in several lines of JSON. Throws like {@link call}. */
export async function* lines<T>(path: string, body: unknown): AsyncGenerator<T> {
  const headers = { ...callHeaders(), "Content-Type": "application/json" };
  const response = await ask(path, { method: "POST", headers, body: JSON.stringify(body) });
  if (!response.ok) {
    throw await refusal(response);
  }
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
  let text = "";
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    text += part.value;
    const whole = text.split("\n");
    text = whole.pop()!;
    for (const line of whole) {
      yield JSON.parse(line) as T;
    }
  }
}

/** Sends a file the way a form does, and is answered with JSON. Throws like {@link call}. */
export async function send<T>(path: string, file: File): Promise<T> {
  const form = new FormData();
  form.append("file", file);
  const response = await ask(path, { method: "POST", headers: callHeaders(), body: form });
  if (!response.ok) {
    throw await refusal(response);
  }
  return (await response.json()) as T;
}

/** As fetch, about the layer that this page works on. Throws {@link Away} when nobody answers. */
export async function ask(path: string, init: RequestInit): Promise<Response> {
  try {
    return await fetch(onLayer(path), init);
  } catch {
    throw new Away();
  }
}

async function refusal(response: Response): Promise<Refusal> {
  const { detail, change } = (await response.json().catch(() => ({}))) as Problem;
  return new Refusal(response.status, detail ?? `The server answered ${response.status}.`, change);
}

export function meta(name: string): string {
  return document.querySelector<HTMLMetaElement>(`meta[name="${name}"]`)?.content ?? "";
}
