import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button, Input } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import { api, type Schemas } from "../../api/client";
import { given } from "../../api/given";
import parts from "../../style/parts.module.css";
import { clock } from "../../views/times";
import { said, useUnits } from "../../views/units";
import css from "./ComeAgain.module.css";
import { day, type RecordView } from "./useRecord";

export const dueWords: Record<Schemas["ServiceKind"], string> = {
  light: "light",
  depth: "depth",
  gloss: "gloss",
  cut: "cut",
};

const weekMs = 7 * 24 * 3600 * 1000;

/** A moment as a date-and-time field writes it, in this place's time. */
const local = (at: Date) =>
  new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);

/** When each service is due again, against how often she comes; and the next visit, booked. */
export function ComeAgain({ view }: { view: RecordView }) {
  const units = useUnits();
  const cache = useQueryClient();
  const start = new Date(view.startsAt);
  const soonest = view.next.find((n) => n.kind !== "cut");
  const [when, setWhen] = useState(
    local(new Date(start.getTime() + Math.round(soonest?.weeks ?? view.weeksBetween) * weekMs)),
  );
  const book = useMutation({
    mutationFn: () =>
      given(
        api.POST("/api/clients/{client}/visits", {
          params: { path: { client: view.clientId } },
          body: { hair: null, startsAt: new Date(when).toISOString() },
        }),
      ),
    onSuccess: () => cache.invalidateQueries({ queryKey: ["record"] }),
  });
  const next = view.nextVisit[0];
  return (
    <>
      <div className={parts.title}>
        <h2>Come again</h2>
      </div>
      <ul className={css.due}>
        {view.next.map((n) => (
          <li key={n.kind}>
            <span>{dueWords[n.kind]}</span>
            <b>{Math.round(n.weeks)} weeks</b>
            <span>{day(new Date(start.getTime() + n.weeks * weekMs))}</span>
            <span className={parts.soft}>{said(n.whyParts, units)}</span>
          </li>
        ))}
      </ul>
      {soonest && (
        <p>
          Comes every {view.weeksBetween} weeks:{" "}
          {soonest.weeks < view.weeksBetween
            ? `${dueWords[soonest.kind]} is due ${Math.round(view.weeksBetween - soonest.weeks)} weeks before that.`
            : "before anything shows."}
        </p>
      )}
      {next ? (
        <p>
          Booked:{" "}
          <Link className={css.link} to={`/visits/${next.visitId}/consult`}>
            {day(next.startsAt)}, {clock(next.startsAt)}
          </Link>
        </p>
      ) : (
        <>
          <Input
            type="datetime-local"
            aria-label="Next visit"
            size="large"
            value={when}
            min={local(start)}
            onChange={(e) => setWhen(e.target.value)}
          />
          <Button
            size="large"
            loading={book.isPending}
            disabled={!when || new Date(when) <= start}
            onClick={() => book.mutate()}
          >
            Book it
          </Button>
          {book.error && <p role="alert">{book.error.message}</p>}
        </>
      )}
      <p>
        <Link className={css.link} to={`/clients/${view.clientId}`}>
          All visits
        </Link>
      </p>
    </>
  );
}
