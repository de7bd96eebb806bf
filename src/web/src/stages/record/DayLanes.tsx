import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api, type Schemas } from "../../api/client";
import { given } from "../../api/given";
import parts from "../../style/parts.module.css";
import { Choice } from "../../views/Choice";
import { clock } from "../../views/times";
import css from "./DayLanes.module.css";

type CalendarVisit = Schemas["CalendarVisit"];
type VisitHands = Schemas["VisitHands"];

const does: [Schemas["HandWork"], string][] = [
  ["mix", "mixing"],
  ["paint", "painting"],
  ["rinse", "rinsing"],
  ["wash", "washing"],
  ["read", "drying and reading"],
];

const hour = 3_600_000;
const minute = 60_000;

interface Props {
  from: Date;
  to: Date;
  visits: CalendarVisit[];
}

/** A day on one time axis: a lane for each chair, with when hands are needed; where hands or basins are too few. */
export function DayLanes({ from, to, visits }: Props) {
  // As the house has it, until others are tried.
  const [tried, setTried] = useState<{ pairs?: number; basins?: number }>({});
  const { data: hands, isFetching } = useQuery({
    queryKey: ["hands", from.toISOString(), tried],
    // With other hands or basins the same day stays meanwhile; another day does not stand in for this one.
    placeholderData: (before, query) => (query?.queryKey[1] === from.toISOString() ? before : undefined),
    enabled: visits.length > 0,
    refetchOnMount: "always",
    queryFn: () =>
      given(
        api.GET("/api/calendar/hands", {
          params: { query: { from: from.toISOString(), to: to.toISOString(), ...tried } },
        }),
      ),
  });
  if (visits.length === 0) {
    return <p className={parts.calm}>Nobody is booked on this day.</p>;
  }
  const planned = new Map(hands?.visits.map((v) => [v.visitId, v]));
  const spans = visits.map((v) => spanOf(v, planned.get(v.visitId)));
  const opens = Math.floor(Math.min(...spans.map((s) => s.start)) / hour) * hour;
  const closes = Math.max(opens + hour, Math.ceil(Math.max(...spans.map((s) => s.end)) / hour) * hour);
  const at = (ms: number) => `${(100 * (ms - opens)) / (closes - opens)}%`;
  const between = (start: number, end: number) => ({
    left: at(start),
    width: `${(100 * (end - start)) / (closes - opens)}%`,
  });
  const hours = Array.from({ length: (closes - opens) / hour }, (_, i) => opens + i * hour);
  const chairs = [...new Set(spans.map((s) => s.chair))].sort((a, b) => a - b);
  const name = (id: string) => visits.find((v) => v.visitId === id)?.client ?? "";
  return (
    <section aria-label="Day by chair">
      <div className={css.lanes}>
        <span />
        <div className={css.hours} aria-hidden="true">
          {hours.map((h) => (
            <span key={h} style={{ left: at(h) }}>
              {clock(h)}
            </span>
          ))}
        </div>
        {chairs.map((chair) => (
          <Lane key={chair} name={`Chair ${chair}`}>
            {spans
              .filter((s) => s.chair === chair)
              .map(({ visit, start, end, minutes, hands }) => (
                <li key={visit.visitId} style={between(start, end)}>
                  <Link to={`/visits/${visit.visitId}/${visit.isPutAway ? "record" : "consult"}`}>
                    <b>{visit.client}</b> {clock(start)}, {Math.round(minutes)} min
                  </Link>
                  {hands.map((h) => (
                    <i
                      key={h.from}
                      data-does={h.does}
                      style={{
                        left: `${(100 * h.from) / minutes}%`,
                        width: `${(100 * (h.to - h.from)) / minutes}%`,
                      }}
                    />
                  ))}
                </li>
              ))}
          </Lane>
        ))}
        {hands && hands.clashes.length > 0 && (
          <Lane name="Too few" thin>
            {hands.clashes.map((c) => (
              <li key={`${c.lacks} ${c.from}`} style={between(Date.parse(c.from), Date.parse(c.to))} />
            ))}
          </Lane>
        )}
      </div>
      {isFetching && !hands && <p className={parts.soft}>Working out when hands are needed…</p>}
      {hands && (
        <>
          <p className={css.keys}>
            {does.map(([kind, words]) => (
              <span key={kind}>
                <i data-does={kind} /> {words}
              </span>
            ))}
            <span>between them lightener works by itself</span>
          </p>
          <div className={css.tried}>
            <Choice
              name="Pairs of hands"
              value={`${hands.floor.pairs}`}
              options={upTo(hands.floor.pairs)}
              onChange={(n) => setTried({ ...tried, pairs: Number(n) })}
            />
            <Choice
              name="Basins"
              value={`${hands.floor.basins}`}
              options={upTo(hands.floor.basins)}
              onChange={(n) => setTried({ ...tried, basins: Number(n) })}
            />
          </div>
          {hands.clashes.length > 0 ? (
            <ul className={css.clashes} aria-label="Too few hands or basins">
              {hands.clashes.map((c) => (
                <li key={`${c.lacks} ${c.from}`}>
                  <b>
                    {clock(c.from)} to {clock(c.to)}
                  </b>
                  : {listed(c.visits.map(name))} need {c.lacks === "basins" ? "a basin" : "hands"} at once for{" "}
                  {Math.round(c.minutes)} min of it.
                </li>
              ))}
              {hands.later.map((l) => (
                <li key={l.visit}>
                  {l.minutes == null
                    ? `${name(l.visit)} finds no start within three hours that suits all.`
                    : `${name(l.visit)}, started ${l.minutes} min later, suits those before.`}
                </li>
              ))}
            </ul>
          ) : (
            <p>{enough(hands.floor)}</p>
          )}
        </>
      )}
    </section>
  );
}

/** When a visit sits in which chair: as the plan has it where there is one, as booked before that is known. */
function spanOf(visit: CalendarVisit, hands: VisitHands | undefined) {
  const { startsAt, minutes, chair } = hands ?? visit;
  const start = Date.parse(startsAt);
  return { visit, chair, start, minutes, end: start + minutes * minute, hands: hands?.hands ?? [] };
}

/** One to three, and what the house has if that is more. */
const upTo = (n: number) =>
  Array.from({ length: Math.max(3, n) }, (_, i) => [`${i + 1}`, `${i + 1}`] as const);

const enough = ({ pairs, basins }: Schemas["HandsView"]["floor"]) =>
  `${pairs === 1 ? "One pair of hands" : `${pairs} pairs of hands`} and ${
    basins === 1 ? "one basin" : `${basins} basins`
  } are enough as planned.`;

/** Names as they are said: one, two and three. */
const listed = (names: string[]): string =>
  names.length < 2 ? names.join("") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;

function Lane({ name, thin, children }: { name: string; thin?: boolean; children: React.ReactNode }) {
  return (
    <>
      <b>{name}</b>
      <ol className={thin ? `${css.lane} ${css.thin}` : css.lane} aria-label={name}>
        {children}
      </ol>
    </>
  );
}
