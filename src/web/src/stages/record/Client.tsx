import { useQuery } from "@tanstack/react-query";
import { Spin } from "antd";
import { useEffect } from "react";
import { Link, useParams } from "react-router";
import { api, type Schemas } from "../../api/client";
import { given } from "../../api/given";
import { MainNav } from "../../shell/MainNav";
import parts from "../../style/parts.module.css";
import css from "./Client.module.css";
import { day } from "./useRecord";

/** How a client's hair lifts against the tables, and how sure that is: eight in ten lie within. */
function speedWords(own: Schemas["OwnLift"]): string {
  const band = Math.exp(1.28 * own.speedSpread);
  const [low, high] = [own.speed / band, own.speed * band];
  return `${own.speed.toFixed(2)} × standard speed, ${low.toFixed(2)} to ${high.toFixed(2)}`;
}

const went: Record<Schemas["PatchResult"], string> = {
  waiting: "waiting",
  clear: "clear",
  reacted: "reacted: never again",
};

/** A client: her visits as a row of heads, what was learnt of her hair, what to remember. */
export function Client() {
  const { client = "" } = useParams();
  const { data, error } = useQuery({
    queryKey: ["client", client],
    refetchOnMount: "always",
    queryFn: () => given(api.GET("/api/clients/{client}", { params: { path: { client } } })),
  });
  useEffect(() => {
    document.title = data ? `${data.name} · Wendro` : "Wendro";
  }, [data]);
  if (!data) {
    return <main className={parts.waiting}>{error ? <h1>{error.message}</h1> : <Spin size="large" />}</main>;
  }
  const taught = data.visits.filter((v) => v.taught);
  return (
    <main className={parts.day}>
      <header>
        <div>
          <h1>{data.name}</h1>
          <p>{data.about}</p>
        </div>
        <MainNav />
      </header>
      <ol className={css.heads} aria-label="Visits">
        {data.visits.map((v) => (
          <li key={v.visitId}>
            <Link to={`/visits/${v.visitId}/${v.sum ? "record" : "consult"}`}>
              <img
                alt={`${data.name} on ${day(v.startsAt)}`}
                src={
                  v.sum
                    ? `/api/visits/${v.visitId}/record/picture?width=150`
                    : `/api/visits/${v.visitId}/plan/picture?angle=30&moment=before&width=150`
                }
                width="150"
                height="185"
                loading="lazy"
              />
              <strong>{day(v.startsAt)}</strong>
              {v.sum ? (
                <>
                  <span>{v.sum.outcome}</span>
                  <span className={parts.soft}>
                    {v.sum.panels} panels
                    {v.sum.chairMinutes != null && `, ${Math.round(v.sum.chairMinutes)} min`}
                  </span>
                  {v.sum.forecastError != null && (
                    <span className={parts.soft}>forecast {v.sum.forecastError.toFixed(1)} levels off</span>
                  )}
                </>
              ) : (
                <span className={parts.soft}>
                  {new Date(v.startsAt) > new Date() ? "booked" : "not put away"}
                </span>
              )}
            </Link>
          </li>
        ))}
      </ol>
      <div className={parts.columns}>
        <section aria-labelledby="hair">
          <h2 id="hair">How this hair lifts</h2>
          {taught.length === 0 && <p className={parts.calm}>Nothing learnt yet: standard speed.</p>}
          <ul>
            {taught.map(
              (v) =>
                v.taught && (
                  <li key={v.visitId}>
                    {day(v.startsAt)}: {speedWords(v.taught)}
                  </li>
                ),
            )}
          </ul>
        </section>
        <section aria-labelledby="notes">
          <h2 id="notes">To remember</h2>
          {data.notes.length === 0 && <p className={parts.calm}>Nothing noted.</p>}
          <ul>
            {data.notes.map((n) => (
              <li key={n.visitId + n.words}>
                {n.words} <span className={parts.soft}>{day(n.at)}</span>
              </li>
            ))}
          </ul>
        </section>
        <section aria-labelledby="skin">
          <h2 id="skin">What touched the skin</h2>
          {data.reacted && <p role="alert">The client has reacted before: a stop until a doctor decides.</p>}
          {data.skin.length === 0 && <p className={parts.calm}>No patch test is noted.</p>}
          <ul>
            {data.skin.map((s) => (
              <li key={s.at + s.product}>
                {s.product ?? "Not named"}
                {s.lot && `, lot ${s.lot}`}: {went[s.result]}, {day(s.at)}
              </li>
            ))}
          </ul>
          {data.patchDueAt && <p>The next patch test is due by {day(data.patchDueAt)}.</p>}
        </section>
      </div>
    </main>
  );
}
