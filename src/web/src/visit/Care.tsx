import { useState } from "react";
import parts from "../style/parts.module.css";
import css from "./Care.module.css";

interface Props {
  stops: readonly string[];
  cautions: readonly string[];
}

/**
 * Words of care in one line that opens. What stops is always said in full, and so is what is new since the
 * line was read.
 */
export function Care({ stops, cautions }: Props) {
  const [open, setOpen] = useState(false);
  const [read, setRead] = useState<ReadonlySet<string>>(() => seen);
  const fresh = cautions.filter((c) => !read.has(c));
  const shown = open ? cautions : fresh.slice(0, 1);
  return (
    <div className={parts.care} role="note" aria-label="Care">
      {stops.map((s) => (
        <p key={s} className={css.stop}>
          <b>Stop.</b> {s}
        </p>
      ))}
      {shown.map((c) => (
        <p key={c}>{c}</p>
      ))}
      <button
        type="button"
        className={css.careLine}
        aria-expanded={open}
        onClick={() => {
          setOpen(!open);
          for (const c of cautions) {
            seen.add(c);
          }
          setRead(new Set(seen));
        }}
      >
        {open
          ? "Less"
          : `Care: the leaflet comes first · ${cautions.length} ${cautions.length === 1 ? "note" : "notes"}`}
      </button>
    </div>
  );
}

/** What has been read in this window; each note is new once. */
const seen = new Set<string>();
