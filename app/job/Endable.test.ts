import { expose } from "comlink";
import { describe, expect, it } from "vitest";
import { Endable, startWhenAsked, WorkStopped } from "./Endable";

const slow = { answer: (n: number) => n + 1, never: () => new Promise<number>(() => undefined) };
/** A worker in this process, over the channel that a real one speaks through. */
class Near extends EventTarget {
  static readonly all: Near[] = [];
  onerror: ((e: ErrorEvent) => void) | null = null;
  ended = false;
  private readonly channel = new MessageChannel();
  constructor() {
    super();
    Near.all.push(this);
    expose(slow, this.channel.port1 as never);
    this.channel.port2.addEventListener("message", (e) => void this.dispatchEvent(Object.assign(new Event("message"), { data: (e as MessageEvent).data }))); // prettier-ignore
    this.channel.port2.start();
  }
  postMessage(data: unknown): void {
    this.channel.port2.postMessage(data);
  }
  terminate(): void {
    this.ended = true;
    this.channel.port1.close();
    this.channel.port2.close();
  }
  die(message: string): void {
    this.onerror?.({ message } as ErrorEvent);
  }
}
const near = (): Worker => new Near() as unknown as Worker;

describe("a worker that can be ended", () => {
  it("answers, and fails what was asked when it is stopped, or dies, or takes too long", async () => {
    const w = new Endable<typeof slow>(near());
    expect(await w.ask((r) => r.answer(1))).toBe(2);
    const waiting = w.ask((r) => r.never());
    w.end();
    await expect(waiting).rejects.toBeInstanceOf(WorkStopped);
    expect([w.alive, Near.all.at(-1)!.ended]).toEqual([false, true]);
    const dying = new Endable<typeof slow>(near());
    const asked = dying.ask((r) => r.never());
    Near.all.at(-1)!.die("out of memory");
    await expect(asked).rejects.toThrow("out of memory");
    const late = new Endable<typeof slow>(near());
    await expect(late.ask((r) => r.never(), 0.02, "too late")).rejects.toThrow("too late");
    expect(late.alive).toBe(false);
  });
  it("is started when first asked, and anew when it died", async () => {
    const before = Near.all.length;
    const ask = startWhenAsked<typeof slow>(near);
    expect(Near.all.length).toBe(before);
    expect([await ask((r) => r.answer(1)), await ask((r) => r.answer(2))]).toEqual([2, 3]);
    expect(Near.all.length).toBe(before + 1);
    Near.all.at(-1)!.die("");
    expect(await ask((r) => r.answer(3))).toBe(4);
    expect(Near.all.length).toBe(before + 2);
    for (const w of Near.all) w.terminate();
  });
});
