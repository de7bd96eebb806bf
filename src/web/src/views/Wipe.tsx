import type { Colours, Hair } from "../api/seen";
import css from "./Wipe.module.css";

/** Another state of the same head, shown to the right of a line that can be drawn across. */
export interface Wiped {
  hair: Hair;
  colours: Colours;
  left: string;
  right: string;
}

/** The line between two states of a head: dragged, or moved with the arrow keys. */
export function WipeLine({ at, onAt, wiped }: { at: number; onAt(at: number): void; wiped: Wiped }) {
  const within = (v: number) => Math.min(1, Math.max(0, v));
  return (
    <>
      <span className={`${css.wipeWord} ${css.left}`}>{wiped.left}</span>
      <span className={`${css.wipeWord} ${css.right}`}>{wiped.right}</span>
      <div
        className={css.wipeLine}
        style={{ left: `${at * 100}%` }}
        role="slider"
        tabIndex={0}
        aria-label={`Between ${wiped.left} and ${wiped.right}`}
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(at * 100)}
        onKeyDown={(e) => {
          const by = { ArrowRight: 0.05, ArrowLeft: -0.05 }[e.key];
          if (by) {
            e.preventDefault();
            e.stopPropagation();
            onAt(within(at + by));
          }
        }}
        onPointerDown={(e) => {
          e.stopPropagation();
          e.currentTarget.setPointerCapture(e.pointerId);
        }}
        onPointerMove={(e) => {
          const box = e.currentTarget.parentElement?.getBoundingClientRect();
          if (e.buttons && box) {
            onAt(within((e.clientX - box.left) / box.width));
          }
        }}
      >
        <span aria-hidden="true">↔</span>
      </div>
    </>
  );
}
