import type { Zone } from "../../api/client";
import type { ApplyView } from "./useApply";

/** A zone on the clock: its moments, ms; it may be rinsed all at once from the latest beginning to the first end. */
export interface Bar {
  zone: Zone;
  begun: number;
  painted: number;
  done: number;
  from: number;
  to: number;
  rinsed: boolean;
}

/** Zones in the order they are worked, each as one bar. */
export function barsOf(service: ApplyView, now: number): Bar[] {
  const bars: Bar[] = [];
  for (const p of service.panels) {
    if (!p.begunAt || !p.paintedAt || !p.fromAt || !p.toAt) {
      continue;
    }
    const zone = p.panel.split("/")[0] as Zone;
    const [begun, painted, from, to] = [p.begunAt, p.paintedAt, p.fromAt, p.toAt].map((t) => Date.parse(t));
    const isPainted = p.state !== "waits";
    const bar = bars.find((b) => b.zone === zone);
    if (bar) {
      bar.begun = Math.min(bar.begun, begun);
      bar.painted = Math.max(bar.painted, painted);
      bar.done = isPainted ? Math.max(bar.done, Math.min(painted, now)) : bar.done;
      bar.from = Math.max(bar.from, from);
      bar.to = Math.min(bar.to, to);
      bar.rinsed = bar.rinsed && p.state === "rinsed";
    } else {
      bars.push({
        zone,
        begun,
        painted,
        done: isPainted ? Math.min(painted, now) : begun,
        from,
        to,
        rinsed: p.state === "rinsed",
      });
    }
  }
  return bars;
}
