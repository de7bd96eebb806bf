import parts from "../../style/parts.module.css";
import { clock } from "../../views/times";
import { quantity, said, useUnits } from "../../views/units";
import { capital } from "../../views/words";
import css from "./RecordCard.module.css";
import type { RecordView } from "./useRecord";

/** What of a visit can be taken elsewhere. */
const files = [
  { file: "record.pdf", name: "Recipe card, PDF" },
  { file: "chart.pdf", name: "Chart, PDF" },
  { file: "chart.svg", name: "Chart, SVG" },
  { file: "note.pdf", name: "Note for the client, PDF" },
  { file: "care.pdf", name: "After-care, PDF" },
  { file: "facts.csv", name: "What happened, CSV" },
  { file: "readings.csv", name: "Readings, CSV" },
] as const;

/** What an eye tells from as planned, levels. */
const tells = 0.3;

const minutes = (m: number) => `${Math.round(m)} min`;

/** What was done at the visit and what came out: written by what was tapped, weighed and read. */
export function RecordCard({ visit, view }: { visit: string; view: RecordView }) {
  const units = useUnits();
  const g = (grams: number) => quantity(grams, "g", units);
  const r = view.record;
  const planned = r.readings.filter((x) => Math.abs(x.cameOut - x.planned) < tells && !x.undertone);
  const otherwise = r.readings.filter((x) => !planned.includes(x));
  return (
    <>
      <div className={parts.title}>
        <h2>What was done</h2>
        <span>{r.chairMinutes != null && `${minutes(r.chairMinutes)} in the chair`}</span>
      </div>
      {r.steps.length === 0 && r.bowls.length === 0 && (
        <p className={parts.calm}>Nothing yet. The record writes itself while the visit is worked on.</p>
      )}
      <dl className={css.record}>
        {r.seatedAt && (
          <div>
            <dt>When</dt>
            <dd>
              {clock(r.seatedAt)}
              {r.doneAt && ` to ${clock(r.doneAt)}`} · {r.hands}
            </dd>
          </div>
        )}
        {r.steps.map((s) => (
          <div key={s.words}>
            <dt>{capital(s.words)}</dt>
            <dd>
              {s.panels} panels
              {s.shortest != null &&
                s.longest != null &&
                `, on for ${Math.round(s.shortest)} to ${minutes(s.longest)}`}
            </dd>
          </div>
        ))}
        {r.bowls.map((b) => (
          <div key={`${b.name} ${b.at}`}>
            <dt>
              {b.name} · {b.words}
            </dt>
            {b.pours.map((p) => (
              <dd key={p.words}>
                {g(p.grams)} {p.words}
                {Math.abs(p.grams - p.meant) > 1 && ` (meant ${g(p.meant)})`}
                {p.lot && `, lot ${p.lot}`}
              </dd>
            ))}
          </div>
        ))}
        {r.looks.length > 0 && (
          <div>
            <dt>Looks</dt>
            <dd>
              {r.looks
                .map(
                  (l) => `${l.minute == null ? "" : `minute ${Math.round(l.minute)}: `}${l.level.toFixed(1)}`,
                )
                .join(", ")}
            </dd>
          </div>
        )}
        <div>
          <dt>Came out</dt>
          <dd>{said(r.outcomeParts, units)}</dd>
          {planned.length > 0 && <dd>{planned.length} places read as planned.</dd>}
          {otherwise.map((x) => (
            <dd key={x.where}>
              {x.where}: {x.cameOut.toFixed(1)} (planned {x.planned.toFixed(1)})
              {x.undertone && `, ${x.undertone}`}
            </dd>
          ))}
        </div>
        {r.toned.map((t) => (
          <div key={t.name}>
            <dt>Toned: {t.name}</dt>
            <dd>
              {t.shades}, {said(t.whereParts, units)},{" "}
              {t.minutes == null ? `${minutes(t.planned)} planned` : minutes(t.minutes)}
            </dd>
          </div>
        ))}
        {r.happened.length > 0 && (
          <div>
            <dt>Went wrong</dt>
            {r.happened.map((h) => (
              <dd key={h}>{capital(h)}</dd>
            ))}
          </div>
        )}
        {r.cost != null && (
          <div>
            <dt>Product</dt>
            <dd>{r.cost.toFixed(2)} as priced on the shelf</dd>
          </div>
        )}
        <div>
          <dt>Promised</dt>
          <dd>{r.promised}</dd>
        </div>
        {r.toChange.length > 0 && (
          <div>
            <dt>Next time</dt>
            {r.toChange.map((c) => (
              <dd key={c}>{c}</dd>
            ))}
          </div>
        )}
      </dl>
      <h2>In files</h2>
      <ul className={css.files} aria-label="In files">
        {files.map((f) => (
          <li key={f.file}>
            <a href={`/api/visits/${visit}/record/${f.file}`} download>
              {f.name}
            </a>
          </li>
        ))}
      </ul>
    </>
  );
}
