import { Button, Spin } from "antd";
import { Link, useParams } from "react-router";
import parts from "../../style/parts.module.css";
import { quantity, useUnits } from "../../views/units";
import css from "./Card.module.css";
import { useMix } from "./useMix";

/** Labels for the bowls and the recipe card, as they are printed. */
export function Card() {
  const { visit = "" } = useParams();
  const { mix, problem } = useMix(visit, 0);
  const units = useUnits();
  const g = (v: number) => quantity(v, "g", units);
  if (!mix) {
    return <main className={parts.waiting}>{problem ? <h1>{problem}</h1> : <Spin size="large" />}</main>;
  }
  const day = new Date(mix.startsAt).toLocaleDateString(undefined, {
    day: "numeric",
    month: "long",
    year: "numeric",
  });
  return (
    <main className={css.cardpage}>
      <div className={`${parts.row} ${css.noprint}`}>
        <Link to={`/visits/${visit}/mix`}>Back to Mix</Link>
        <Button type="primary" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <article aria-label="Recipe card">
        <h1>
          {mix.client} · {day}
        </h1>
        <table>
          <thead>
            <tr>
              <th>Bowl</th>
              <th>What</th>
              <th>Planned</th>
              <th>Weighed</th>
              <th>Mix at</th>
              <th>Good until</th>
            </tr>
          </thead>
          <tbody>
            {mix.bowls.flatMap((b) =>
              b.steps.map((s, i) => (
                <tr key={`${b.number} ${s.ingredient.words}`} className={i === 0 ? css.first : undefined}>
                  <td>{i === 0 ? `${b.number} · ${b.formula}` : ""}</td>
                  <td>{s.ingredient.product ?? s.ingredient.words}</td>
                  <td>{g(s.targetGrams)}</td>
                  <td>{s.pouredGrams > 0 ? g(s.pouredGrams) : ""}</td>
                  <td>{i === 0 ? `minute ${b.mixAtMinute.toFixed(0)}` : ""}</td>
                  <td>{i === 0 ? `minute ${b.livesUntilMinute.toFixed(0)}` : ""}</td>
                </tr>
              )),
            )}
          </tbody>
        </table>
        {mix.formulas.map((f) => (
          <p key={f.formula.id}>
            <b>{f.formula.id}</b> {f.words}, {f.holds}; {f.panels.length} panels; rinse at minute{" "}
            {f.formula.minutes} at the latest.
          </p>
        ))}
        <ul>
          {mix.cautions.map((c) => (
            <li key={c}>{c}</li>
          ))}
        </ul>
      </article>
      <div className={css.labels} role="list" aria-label="Labels">
        {mix.bowls.map((b) => (
          <div key={b.number} role="listitem">
            <h2>
              Bowl {b.number} · {b.formula}
            </h2>
            <p>
              {mix.client.split(" ")[0]}, {day}
            </p>
            <p>
              {b.steps
                .map((s) => `${g(s.targetGrams)} ${s.ingredient.product ?? s.ingredient.words}`)
                .join(", ")}
            </p>
            <p>Mixed at ____ : ____ Not after ____ : ____</p>
          </div>
        ))}
      </div>
    </main>
  );
}
