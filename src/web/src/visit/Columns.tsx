import { type ReactNode, useState } from "react";
import parts from "../style/parts.module.css";
import css from "./Columns.module.css";
import { useNarrow } from "./useNarrow";

/** A column of a stage: what it is called there, and what stands in it. */
export interface Column {
  label: string;
  content: ReactNode;
}

interface Props {
  /** What is seen. */
  seen: ReactNode;
  where: Column;
  along: Column;
  mind: Column;
  /** Whether what is seen takes more of the width: read from two metres. */
  wide?: boolean;
  /** How much there is to mind. */
  count?: number;
}

/** What can be longer than the screen is scrolled by the keyboard, too. */
const scrolls = { tabIndex: 0 };

const tabs = ["where", "along", "mind"] as const;
const names = { where: "Where", along: "Along", mind: "Mind" } as const;
const classes = { where: css.mapCol, along: css.stripCol, mind: parts.lookCol } as const;

/**
 * The four columns that every stage shares: what is seen, where, along the strand (or the clock), what to
 * mind. On a tablet the last three
 * are tabs beside the first, so that the head keeps more than half of the width.
 */
export function Columns({ seen, wide = false, count = 0, ...columns }: Props) {
  const narrow = useNarrow();
  const [tab, setTab] = useState<(typeof tabs)[number]>("where");
  if (!narrow) {
    return (
      <main className={wide ? `${css.workspace} ${css.wide}` : css.workspace}>
        {seen}
        {tabs.map((t) => (
          <section
            key={t}
            className={`${parts.col} ${classes[t]}`}
            aria-label={columns[t].label}
            {...scrolls}
          >
            {columns[t].content}
          </section>
        ))}
      </main>
    );
  }
  return (
    <main className={`${css.workspace} ${css.narrow}`}>
      {seen}
      <div className={css.tabbed}>
        <div className={css.tabs} role="tablist" aria-label="Columns">
          {tabs.map((t) => (
            <button
              key={t}
              id={`tab-${t}`}
              type="button"
              role="tab"
              aria-selected={t === tab}
              aria-controls="tab-panel"
              tabIndex={t === tab ? 0 : -1}
              onClick={() => setTab(t)}
              onKeyDown={(e) => {
                const by = e.key === "ArrowRight" ? 1 : e.key === "ArrowLeft" ? -1 : 0;
                if (by !== 0) {
                  const to = tabs[(tabs.indexOf(t) + by + tabs.length) % tabs.length];
                  setTab(to);
                  document.getElementById(`tab-${to}`)?.focus();
                }
              }}
            >
              {names[t]}
              {t === "mind" && count > 0 && <span className={css.count}>{count}</span>}
            </button>
          ))}
        </div>
        <section
          {...scrolls}
          id="tab-panel"
          role="tabpanel"
          className={`${parts.col} ${classes[tab]}`}
          aria-label={columns[tab].label}
        >
          {columns[tab].content}
        </section>
      </div>
    </main>
  );
}
