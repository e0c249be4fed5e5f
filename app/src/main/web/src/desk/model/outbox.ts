import { atom } from "nanostores";
import { call, Refusal } from "../../shared/http";
import type { ChangeAnswer, ChangeMessage } from "./state";

export type Delivery = "saved" | "saving" | "away" | "signed out";

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
 * reload, a crash or a server that is away loses none; and since each carries its own id, one sent twice is made once.
 */
export class Outbox {
  readonly delivery = atom<Delivery>("saved");
  readonly waiting = atom(0);

  private readonly queue: ChangeMessage[] = [];
  private readonly prefix: string;
  private sequence = Date.now();
  private sending: Promise<void> | undefined;
  private held = false;
  private retryMs = FIRST_RETRY_MS;

  /** @param owner whose changes these are: another person at the same browser must not send them */
  constructor(
    private readonly path: string,
    owner: string,
    private readonly sheet: string,
    private readonly onAnswer: (answer: ChangeAnswer) => void,
  ) {
    this.prefix = `pond/outbox/${owner}/${sheet}/`;
    window.addEventListener("online", () => void this.send());
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
    localStorage.setItem(
      `${this.prefix}${String(this.sequence++).padStart(16, "0")}-${message.id}`,
      JSON.stringify(message),
    );
    this.queue.push(message);
    this.waiting.set(this.queue.length);
    void this.send();
  }

  pending(): readonly ChangeMessage[] {
    return this.queue;
  }

  /** Sends nothing while something runs that must come first; it begins when what is on its way has arrived. */
  async hold<T>(first: () => Promise<T>): Promise<T> {
    await this.send();
    this.held = true;
    try {
      return await first();
    } finally {
      this.held = false;
      void this.send();
    }
  }

  private send(): Promise<void> {
    this.sending ??= this.sendAll().finally(() => (this.sending = undefined));
    return this.sending;
  }

  private async sendAll(): Promise<void> {
    if (this.held) {
      return;
    }
    try {
      while (this.queue.length > 0) {
        if (this.delivery.get() === "saved") {
          this.delivery.set("saving");
        }
        const answers = await call<ChangeAnswer[]>(this.path, this.queue.slice(0, MOST_A_CALL));
        this.retryMs = FIRST_RETRY_MS;
        answers.forEach((answer) => this.settle(answer));
      }
      this.delivery.set("saved");
    } catch (error) {
      this.wait(error);
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
    localStorage.setItem(`${SETTLED}${this.sheet}`, String(Date.now()));
    this.waiting.set(this.queue.length);
    this.onAnswer(answer);
  }

  private wait(error: unknown): void {
    if (error instanceof Refusal && (error.status === 401 || error.status === 403)) {
      this.delivery.set("signed out");
      return;
    }
    if (error instanceof Refusal && error.status < 500) {
      // The server understood and will not have it: asking again would hold up everything behind it.
      const refused = this.queue[0]!;
      this.settle({
        id: refused.id,
        outcome: "refused",
        reason: error.message,
        layer: null,
        swaps: [],
        dams: [],
        reach: null,
      });
      setTimeout(() => void this.send());
      return;
    }
    this.delivery.set("away");
    setTimeout(() => void this.send(), this.retryMs);
    this.retryMs = Math.min(LAST_RETRY_MS, this.retryMs * 2);
  }
}
