import { atom } from "nanostores";
import { call, Refusal } from "../../shared/http";
import type { ChangeAnswer, ChangeMessage } from "./state";

/**
 * How delivery stands: all is there, on its way, the server does not answer, does not take anything just now, wants a new sign-in, or
 * says that there is no such sheet for this person.
 */
export type Delivery = "saved" | "saving" | "away" | "not taken" | "signed out" | "shut out";

const MOST_A_CALL = 50;
const FIRST_RETRY_MS = 1000;
const LAST_RETRY_MS = 15000;

const SETTLED = "pond/settled/";
/** Two clocks of one browser may be so far apart. */
const CLOCK_SLACK_MS = 100;

/** Whether a change of a sheet was answered after this page was asked for, so that what came with the page may be older than the change. */
export function settledSinceAsked(sheet: string): boolean {
  return Number(localStorage.getItem(`${SETTLED}${sheet}`)) > performance.timeOrigin - CLOCK_SLACK_MS;
}

/**
 * Changes on their way to the server, in their order. Each is kept in the browser's storage until the server has answered it, so a
 * reload, a crash or a server that is away loses none; and since each carries its own id, one sent twice is made once. Only what the
 * server refuses by name is given up; whatever else goes wrong, changes wait and are sent again.
 */
export class Outbox {
  readonly delivery = atom<Delivery>("saved");
  readonly waiting = atom(0);
  /** How many of those that wait found no room in the browser's storage, so that only this window has them. */
  readonly unkept = atom(0);

  private readonly queue: ChangeMessage[] = [];
  private readonly prefix: string;
  private sequence = Date.now();
  private sending: Promise<void> | undefined;
  private held = false;
  private retryMs = FIRST_RETRY_MS;
  private retry: number | undefined;
  private mostACall = MOST_A_CALL;
  private readonly onlyHere = new Map<string, ChangeMessage>();

  /** @param owner whose changes these are: another person at the same browser must not send them */
  constructor(
    private readonly path: string,
    owner: string,
    private readonly sheet: string,
    private readonly onAnswer: (answer: ChangeAnswer) => void,
  ) {
    this.prefix = `pond/outbox/${owner}/${sheet}/`;
    window.addEventListener("online", () => void this.send());
    window.addEventListener("beforeunload", (event) => {
      if (this.onlyHere.size > 0) {
        event.preventDefault();
      }
    });
  }

  /** What an earlier visit to this sheet could not deliver. */
  leftOver(): ChangeMessage[] {
    const keys = Object.keys(localStorage).filter((key) => key.startsWith(this.prefix));
    return keys.sort().map((key) => JSON.parse(localStorage.getItem(key)!) as ChangeMessage);
  }

  /** Takes up the changes of an earlier visit, which have been painted again. */
  resume(messages: ChangeMessage[]): void {
    this.queue.push(...messages);
    this.waiting.set(this.queue.length);
    void this.send();
  }

  add(message: ChangeMessage): void {
    this.onlyHere.set(`${this.prefix}${String(this.sequence++).padStart(16, "0")}-${message.id}`, message);
    this.keep();
    this.queue.push(message);
    this.waiting.set(this.queue.length);
    void this.send();
  }

  /** Puts into the browser's storage what is not there yet, as far as there is room. */
  private keep(): void {
    try {
      for (const [key, message] of this.onlyHere) {
        localStorage.setItem(key, JSON.stringify(message));
        this.onlyHere.delete(key);
      }
    } catch {
      // The storage is full; it is tried again with each change that is settled, and sending does not depend on it.
    }
    this.unkept.set(this.onlyHere.size);
  }

  pending(): readonly ChangeMessage[] {
    return this.queue;
  }

  /** Sends nothing while something runs that must come first; it begins when what is on its way has arrived. */
  async hold<T>(first: () => Promise<T>): Promise<T> {
    await this.send();
    this.held = true;
    this.beginSaving();
    try {
      return await first();
    } finally {
      this.held = false;
      void this.send();
    }
  }

  private send(): Promise<void> {
    this.sending ??= this.sendAll();
    return this.sending;
  }

  private async sendAll(): Promise<void> {
    // It may be over at once, and must not be before it is known to run.
    await Promise.resolve();
    clearTimeout(this.retry);
    let goesOn = true;
    while (!this.held && goesOn && this.queue.length > 0) {
      goesOn = await this.sendSome();
    }
    if (!this.held && goesOn) {
      this.mostACall = MOST_A_CALL;
      this.delivery.set("saved");
    }
    // Nothing is waited for since the queue was looked at: whatever is added from now on is sent anew.
    this.sending = undefined;
  }

  /** Returns whether to go on with the next ones. */
  private async sendSome(): Promise<boolean> {
    this.beginSaving();
    const sent = this.queue.slice(0, this.mostACall);
    try {
      const answers = await call<ChangeAnswer[]>(this.path, sent);
      answers.forEach((answer) => this.settle(answer));
    } catch (error) {
      if (!this.understands(error, sent.length)) {
        return false;
      }
    }
    this.retryMs = FIRST_RETRY_MS;
    return true;
  }

  private beginSaving(): void {
    if (this.delivery.get() === "saved") {
      this.delivery.set("saving");
    }
  }

  private settle(answer: ChangeAnswer): void {
    const index = this.queue.findIndex((message) => message.id === answer.id);
    if (index >= 0) {
      this.queue.splice(index, 1);
    }
    for (const key of Object.keys(localStorage)) {
      if (key.startsWith(this.prefix) && key.endsWith(answer.id)) {
        localStorage.removeItem(key);
      }
    }
    for (const key of this.onlyHere.keys()) {
      if (key.endsWith(answer.id)) {
        this.onlyHere.delete(key);
      }
    }
    this.keep();
    noteSettled(this.sheet);
    this.waiting.set(this.queue.length);
    this.onAnswer(answer);
  }

  /** What follows from a call that failed; returns whether to go on at once. */
  private understands(error: unknown, sent: number): boolean {
    if (!(error instanceof Refusal) || error.status >= 500) {
      this.wait("away");
    } else if (this.queue.some((message) => message.id === error.change)) {
      this.settle(refused(error.change!, error.message));
      return true;
    } else if (error.status === 413 && sent > 1) {
      this.mostACall = Math.ceil(sent / 2);
      return true;
    } else if (error.status === 401 || error.status === 403) {
      this.delivery.set("signed out");
    } else {
      this.wait(error.status === 404 ? "shut out" : "not taken");
    }
    return false;
  }

  private wait(delivery: Delivery): void {
    this.delivery.set(delivery);
    this.retry = setTimeout(() => void this.send(), this.retryMs);
    this.retryMs = Math.min(LAST_RETRY_MS, this.retryMs * 2);
  }
}

function refused(id: string, reason: string): ChangeAnswer {
  return {
    id,
    outcome: "refused",
    reason,
    layer: null,
    swaps: [],
    dams: [],
    reach: null,
    parts: [],
    words: "",
  };
}

function noteSettled(sheet: string): void {
  try {
    localStorage.setItem(`${SETTLED}${sheet}`, String(Date.now()));
  } catch {
    // Without this note a page that is gone back to may show an older state for a moment; it asks the server then.
  }
}
