import { useQuery } from "@tanstack/react-query";
import { Button } from "antd";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { api, type Schemas } from "../../api/client";
import { given } from "../../api/given";
import { MainNav } from "../../shell/MainNav";
import parts from "../../style/parts.module.css";
import { clock } from "../../views/times";
import { quantity, useUnits } from "../../views/units";
import css from "./Year.module.css";

/** The Monday before a day, at midnight. */
function monday(at: Date): Date {
  const day = new Date(at.getFullYear(), at.getMonth(), at.getDate());
  day.setDate(day.getDate() - ((day.getDay() + 6) % 7));
  return day;
}

/** The calendar by week, and the year in plain figures. */
export function Year() {
  const [from, setFrom] = useState(() => monday(new Date()));
  useEffect(() => {
    document.title = "Year · Wendro";
  }, []);
  const move = (weeks: number) => {
    const to = new Date(from);
    to.setDate(to.getDate() + 7 * weeks);
    setFrom(to);
  };
  return (
    <main className={parts.day}>
      <header>
        <div>
          <h1>
            Week of {from.toLocaleDateString(undefined, { day: "numeric", month: "long", year: "numeric" })}
          </h1>
          <p>Visits by chair; booked minutes, or those it took</p>
        </div>
        <MainNav />
      </header>
      <div className={parts.row}>
        <Button size="large" onClick={() => move(-1)}>
          Week before
        </Button>
        <Button size="large" onClick={() => setFrom(monday(new Date()))}>
          This week
        </Button>
        <Button size="large" onClick={() => move(1)}>
          Week after
        </Button>
      </div>
      <Week from={from} />
      <Figures />
    </main>
  );
}

function Week({ from }: { from: Date }) {
  const days = Array.from({ length: 7 }, (_, i) => {
    const day = new Date(from);
    day.setDate(day.getDate() + i);
    return day;
  });
  const to = new Date(from);
  to.setDate(to.getDate() + 7);
  const { data, error } = useQuery({
    queryKey: ["calendar", from.toISOString()],
    refetchOnMount: "always",
    queryFn: () =>
      given(
        api.GET("/api/calendar", {
          params: { query: { from: from.toISOString(), to: to.toISOString() } },
        }),
      ),
  });
  const today = new Date().toDateString();
  return (
    <>
      {error && <p role="alert">{error.message}</p>}
      <ol className={css.week} aria-label="Week">
        {days.map((d) => (
          <li key={d.getTime()} aria-current={d.toDateString() === today ? "date" : undefined}>
            <b>{d.toLocaleDateString(undefined, { weekday: "short", day: "numeric" })}</b>
            {data
              ?.filter((v) => new Date(v.startsAt).toDateString() === d.toDateString())
              .map((v) => (
                <Link
                  key={v.visitId}
                  to={`/visits/${v.visitId}/${v.isPutAway ? "keep" : "consult"}`}
                  data-chair={v.chair}
                >
                  <strong>{clock(v.startsAt)}</strong> {v.client}
                  <br />
                  <span className={parts.soft}>
                    chair {v.chair}, {Math.round(v.minutes)} min
                  </span>
                </Link>
              ))}
          </li>
        ))}
      </ol>
    </>
  );
}

function Figures() {
  const units = useUnits();
  const { data } = useQuery({
    queryKey: ["year"],
    refetchOnMount: "always",
    queryFn: () => given(api.GET("/api/year")),
  });
  if (!data) {
    return null;
  }
  const months = data.months.slice(-12);
  const name = (m: Schemas["MonthSum"]) =>
    new Date(m.year, m.month - 1, 1).toLocaleDateString(undefined, { month: "short", year: "2-digit" });
  return (
    <div className={parts.columns}>
      <section aria-labelledby="year">
        <h2 id="year">The year</h2>
        {months.length === 0 ? (
          <p className={parts.calm}>No visit was put away yet.</p>
        ) : (
          <table className={css.sums}>
            <thead>
              <tr>
                <th>Month</th>
                <th>Visits</th>
                <th>In the chair</th>
                <th>Product</th>
                <th>Cost</th>
                <th>Forecast off</th>
              </tr>
            </thead>
            <tbody>
              {months.map((m) => (
                <tr key={name(m)}>
                  <td>{name(m)}</td>
                  <td>{m.visits}</td>
                  <td>{m.chairHours.toFixed(1)} h</td>
                  <td>{quantity(m.grams, "g", units)}</td>
                  <td>{m.cost?.toFixed(0) ?? "–"}</td>
                  <td>{m.forecastError == null ? "–" : `${m.forecastError.toFixed(2)} levels`}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
      {months.some((m) => m.forecastError != null) && (
        <section aria-labelledby="error">
          <h2 id="error">How far forecasts were off</h2>
          <div className={css.bars} aria-hidden="true">
            {months.map((m) => (
              <i key={name(m)} style={{ height: `${Math.min(100, 100 * (m.forecastError ?? 0))}%` }} />
            ))}
          </div>
          <p className={parts.soft}>Levels, month by month; the full height is one level.</p>
        </section>
      )}
      <section aria-labelledby="order">
        <h2 id="order">To order</h2>
        {data.order.length === 0 && <p className={parts.calm}>Nothing runs out within three weeks.</p>}
        <ul>
          {data.order.map((o) => (
            <li key={o.product}>
              <strong>{o.product}</strong>: {quantity(o.onHand, "g", units)} left,{" "}
              {quantity(o.gramsAWeek, "g", units)} a week lately: {o.weeksLeft.toFixed(1)} weeks.
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
