import { useRef } from "react";
import { angleStep, turned } from "./angles";
import { type Closer, moved, stepped } from "./closer";

interface Hand {
  angle: number;
  onAngle(angle: number): void;
  closer: Closer;
  onCloser(closer: Closer): void;
  /** A tap that moved nothing. */
  onTap(event: React.PointerEvent): void;
}

/** How long a wheel rests between two steps, ms. */
const wheelRests = 180;

/** Pixels a finger moves for one turn. */
const turnPixels = 30;

/**
 * What fingers, wheel and keys do to the head: one finger turns it, or moves along it where it is looked at closely;
 * two come closer.
 */
export function useHand({ angle, onAngle, closer, onCloser, onTap }: Hand) {
  const fingers = useRef(new Map<number, { x: number; y: number }>());
  const begun = useRef<
    { x: number; y: number; angle: number; closer: Closer; apart?: number; moved: boolean } | undefined
  >(undefined);
  const wheeled = useRef(Number.NEGATIVE_INFINITY);
  const share = (e: { currentTarget: Element; clientX: number; clientY: number }) => {
    const box = e.currentTarget.getBoundingClientRect();
    return [(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height] as const;
  };
  const apart = () => {
    const [a, b] = [...fingers.current.values()];
    return b ? Math.hypot(a.x - b.x, a.y - b.y) : undefined;
  };
  return {
    onKeyDown(e: React.KeyboardEvent) {
      const by = { ArrowLeft: -angleStep, ArrowRight: angleStep }[e.key];
      const near = { "+": 1, "=": 1, "-": -1 }[e.key];
      if (by !== undefined) {
        e.preventDefault();
        onAngle(turned(angle, by));
      } else if (near !== undefined && !e.ctrlKey && !e.metaKey) {
        e.preventDefault();
        onCloser(stepped(closer, near));
      } else if (closer.steps > 0 && (e.key === "ArrowUp" || e.key === "ArrowDown")) {
        e.preventDefault();
        onCloser(moved(closer, 0, e.key === "ArrowUp" ? 0.2 : -0.2));
      }
    },
    onWheel(e: React.WheelEvent) {
      // One stroke of the wheel or the pad tells many times: it is one step.
      if (e.deltaY !== 0 && e.timeStamp - wheeled.current > wheelRests) {
        wheeled.current = e.timeStamp;
        onCloser(stepped(closer, e.deltaY < 0 ? 1 : -1, ...share(e)));
      }
    },
    onPointerDown(e: React.PointerEvent) {
      e.currentTarget.setPointerCapture(e.pointerId);
      fingers.current.set(e.pointerId, { x: e.clientX, y: e.clientY });
      begun.current = {
        x: e.clientX,
        y: e.clientY,
        angle,
        closer,
        apart: apart(),
        moved: fingers.current.size > 1,
      };
    },
    onPointerMove(e: React.PointerEvent) {
      const from = begun.current;
      if (!from || !fingers.current.has(e.pointerId)) {
        return;
      }
      fingers.current.set(e.pointerId, { x: e.clientX, y: e.clientY });
      const now = apart();
      if (now !== undefined && from.apart) {
        const steps = Math.round(Math.log(now / from.apart) / Math.log(1.5));
        if (from.closer.steps + steps !== closer.steps) {
          onCloser(stepped(from.closer, steps, ...share(e)));
        }
        return;
      }
      const [x, y] = [e.clientX - from.x, e.clientY - from.y];
      if (from.closer.steps > 0) {
        if (from.moved || Math.hypot(x, y) > 8) {
          from.moved = true;
          const box = e.currentTarget.getBoundingClientRect();
          onCloser(moved(from.closer, x / box.width, y / box.height));
        }
        return;
      }
      const turns = Math.round(-x / turnPixels);
      if (turns !== 0 || from.moved) {
        from.moved = true;
        onAngle(turned(from.angle, turns * angleStep));
      }
    },
    onPointerUp(e: React.PointerEvent) {
      fingers.current.delete(e.pointerId);
      if (begun.current && !begun.current.moved) {
        onTap(e);
      }
      begun.current = undefined;
    },
    onPointerCancel(e: React.PointerEvent) {
      fingers.current.delete(e.pointerId);
      begun.current = undefined;
    },
  };
}
