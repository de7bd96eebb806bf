import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { type Ahead, drawnAhead, notAhead, shows, stillAhead } from "./ahead";

const hair = (level: number) => Uint16Array.of(level);

describe("the picture before the page", () => {
  let frame: (() => void) | undefined;
  let told: (Ahead | undefined)[];
  let away: () => void;

  beforeEach(() => {
    vi.useFakeTimers();
    vi.stubGlobal("requestAnimationFrame", (next: () => void) => {
      frame = next;
      return 1;
    });
    told = [];
    away = shows((ahead) => told.push(ahead));
  });

  afterEach(() => {
    away();
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  /** Whether what is waited for has come. */
  const come = (waited: Promise<void>) => {
    let come = false;
    void waited.then(() => {
      come = true;
    });
    return async () => {
      await vi.advanceTimersByTimeAsync(0);
      return come;
    };
  };

  it("is told at once, and the page waits until its frame was shown", async () => {
    const [from, to] = [hair(60), hair(80)];
    const waited = come(drawnAhead(from, to));
    expect(told).toEqual([{ from, to }]);
    expect(await waited()).toBe(false);
    frame?.();
    expect(await waited()).toBe(true);
  });

  it("waits no longer than a moment where no frame is shown", async () => {
    const waited = come(drawnAhead(hair(60), hair(80)));
    await vi.advanceTimersByTimeAsync(40);
    expect(await waited()).toBe(false);
    await vi.advanceTimersByTimeAsync(20);
    expect(await waited()).toBe(true);
  });

  it("waits for nothing where no hair changed, or no head is there", async () => {
    const same = hair(60);
    expect(await come(drawnAhead(same, same))()).toBe(true);
    expect(told).toEqual([]);
    away();
    expect(await come(drawnAhead(hair(60), hair(80)))()).toBe(true);
    expect(told).toEqual([]);
  });

  it("is taken back", () => {
    notAhead();
    expect(told).toEqual([undefined]);
    away();
    notAhead();
    expect(told).toHaveLength(1);
  });

  it("stands for the hair it was drawn from and is over once another is given", () => {
    const ahead = { from: hair(60), to: hair(80) };
    expect(stillAhead(ahead, ahead.from)).toBe(ahead);
    expect(stillAhead(ahead, ahead.to)).toBeUndefined();
    // Hair that is alike is not the same.
    expect(stillAhead(ahead, hair(60))).toBeUndefined();
    expect(stillAhead(undefined, ahead.from)).toBeUndefined();
    expect(stillAhead(ahead, undefined)).toBeUndefined();
  });
});
