import { useQuery } from "@tanstack/react-query";
import { Button, Segmented } from "antd";
import { useEffect } from "react";
import { Link, useSearchParams } from "react-router";
import { api, type Schemas } from "../../api/client";
import { given } from "../../api/given";
import { MainNav } from "../../shell/MainNav";
import parts from "../../style/parts.module.css";
import { clock } from "../../views/times";
import { quantity, shownAs, useUnits } from "../../views/units";
import css from "./Calendar.module.css";
import { DayLanes } from "./DayLanes";
import { Plot } from "./Plot";

/** The Monday before a day, at midnight. */
function monday(at: Date): Date {
  const day = new Date(at.getFullYear(), at.getMonth(), at.getDate());
  day.setDate(day.getDate() - ((day.getDay() + 6) % 7));
  return day;
}

/** So many days later, at midnight. */
function later(at: Date, days: number): Date {
  return new Date(at.getFullYear(), at.getMonth(), at.getDate() + days);
}

type By = "day" | "week";

/** A day as the address names it: 2031-05-06. */
const nameOf = (day: Date): string =>
  [day.getFullYear(), day.getMonth() + 1, day.getDate()].map((n) => String(n).padStart(2, "0")).join("-");

/** The day that an address names, at midnight; today where it names none. */
function dayOf(name: string | null): Date {
  const [year, month, date] = (name ?? "").split("-").map(Number);
  return year && month && date ? new Date(year, month - 1, date) : later(new Date(), 0);
}

/** The calendar by day or week, and the year in plain figures. */
export function Calendar() {
  const [params, setParams] = useSearchParams();
  const by: By = params.get("by") === "day" ? "day" : "week";
  const day = dayOf(params.get("on"));
  const show = (as: By, on: Date) => setParams({ by: as, on: nameOf(on) });
  const from = by === "week" ? monday(day) : day;
  const days = by === "week" ? 7 : 1;
  useEffect(() => {
    document.title = "Calendar · Wendro";
  }, []);
  const date = from.toLocaleDateString(undefined, { day: "numeric", month: "long", year: "numeric" });
  const weekday = from.toLocaleDateString(undefined, { weekday: "long" });
  return (
    <main className={parts.day}>
      <header>
        <div>
          <h1>{by === "week" ? `Week of ${date}` : `${weekday}, ${date}`}</h1>
          <p>Visits by chair; minutes {by === "week" ? "booked" : "as planned"}, or those it took</p>
        </div>
        <MainNav />
      </header>
      <div className={parts.row}>
        <Segmented<By>
          size="large"
          aria-label="Calendar by"
          value={by}
          options={[
            { value: "day", label: "Day" },
            { value: "week", label: "Week" },
          ]}
          onChange={(as) => show(as, day)}
        />
        <Button size="large" onClick={() => show(by, later(from, -days))}>
          {by === "week" ? "Week before" : "Day before"}
        </Button>
        <Button size="large" onClick={() => show(by, new Date())}>
          {by === "week" ? "This week" : "Today"}
        </Button>
        <Button size="large" onClick={() => show(by, later(from, days))}>
          {by === "week" ? "Week after" : "Day after"}
        </Button>
      </div>
      <Booked from={from} days={days} onDay={(d) => show("day", d)} />
      <Figures />
    </main>
  );
}

interface BookedProps {
  from: Date;
  days: number;
  onDay(day: Date): void;
}

function Booked({ from, days, onDay }: BookedProps) {
  const to = later(from, days);
  const { data, error } = useQuery({
    queryKey: ["calendar", from.toISOString(), days],
    refetchOnMount: "always",
    queryFn: () =>
      given(
        api.GET("/api/calendar", {
          params: { query: { from: from.toISOString(), to: to.toISOString() } },
        }),
      ),
  });
  return (
    <>
      {error && <p role="alert">{error.message}</p>}
      {days === 1 ? (
        data && <DayLanes from={from} to={to} visits={data} />
      ) : (
        <Week from={from} visits={data ?? []} onDay={onDay} />
      )}
    </>
  );
}

interface WeekProps {
  from: Date;
  visits: Schemas["CalendarVisit"][];
  onDay(day: Date): void;
}

function Week({ from, visits, onDay }: WeekProps) {
  const today = new Date().toDateString();
  return (
    <ol className={css.week} aria-label="Week">
      {Array.from({ length: 7 }, (_, i) => later(from, i)).map((d) => (
        <li key={d.getTime()} aria-current={d.toDateString() === today ? "date" : undefined}>
          <button type="button" onClick={() => onDay(d)} className={css.weekday}>
            {d.toLocaleDateString(undefined, { weekday: "short", day: "numeric" })}
          </button>
          {visits
            .filter((v) => new Date(v.startsAt).toDateString() === d.toDateString())
            .map((v) => (
              <Link
                key={v.visitId}
                to={`/visits/${v.visitId}/${v.isPutAway ? "record" : "consult"}`}
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
  const names = months.map(name);
  const ounces = shownAs("g", units);
  return (
    <div className={css.figures}>
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
                <th>Chair, h</th>
                <th>Product</th>
                <th>Cost</th>
                <th>Off, levels</th>
              </tr>
            </thead>
            <tbody>
              {months.map((m) => (
                <tr key={name(m)}>
                  <td>{name(m)}</td>
                  <td>{m.visits}</td>
                  <td>{m.chairHours.toFixed(1)}</td>
                  <td>{quantity(m.grams, "g", units)}</td>
                  <td>{m.cost?.toFixed(0) ?? "–"}</td>
                  <td>{m.forecastError == null ? "–" : m.forecastError.toFixed(2)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
      {months.length > 0 && (
        <section aria-labelledby="plots">
          <h2 id="plots">Month by month</h2>
          <div className={css.plots}>
            <Plot
              name="In the chair"
              months={names}
              values={months.map((m) => m.chairHours)}
              unit="h"
              digits={1}
            />
            <Plot
              name="Product"
              months={names}
              values={months.map((m) => m.grams / (ounces?.per ?? 1))}
              unit={ounces?.us ?? "g"}
            />
            <Plot name="Cost of product" months={names} values={months.map((m) => m.cost ?? null)} unit="" />
            <Plot
              name="Forecast off by"
              months={names}
              values={months.map((m) => m.forecastError ?? null)}
              unit="levels"
              digits={2}
            />
          </div>
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
