import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useState } from "react";
import { api, type PlanEdit, type Schemas } from "../../api/client";
import { given } from "../../api/given";
import parts from "../../style/parts.module.css";
import { tokens } from "../../style/tokens";
import { Choice } from "../../views/Choice";
import { said, useUnits } from "../../views/units";
import { zoneWords } from "../../views/words";
import { useVisit } from "../../visit/useVisit";
import css from "./Apply.module.css";

type WayView = Schemas["ServiceOptionView"];

const wide = 470;
const high = 58;
const lane = 26;

/** The ways through the visit side by side on one time axis; and where panels can't be in time, what frees them. */
export function Ways({ revision }: { revision: number }) {
  const units = useUnits();
  const { visit, work } = useVisit();
  const cache = useQueryClient();
  const [taking, setTaking] = useState(false);
  const { data } = useQuery({
    queryKey: ["ways", visit, revision],
    queryFn: ({ signal }) =>
      given(api.GET("/api/visits/{visit}/apply/ways", { params: { path: { visit } }, signal })),
  });
  // What was tried on another plan than the one at work is not taken.
  const stale = taking || data?.revision !== work.revision;
  const take = async (edit: PlanEdit) => {
    setTaking(true);
    await work.edit(edit);
    await cache.invalidateQueries({ queryKey: ["apply", visit] });
    setTaking(false);
  };
  const rinsed = (
    <Choice
      name="Rinsed"
      value={work.plan.plan.rinse ?? "inWaves"}
      options={[
        ["inWaves", "in waves"],
        ["once", "once, at the end"],
      ]}
      onChange={(rinse) => void take({ kind: "setRinse", rinse })}
    />
  );
  if (!data) {
    return (
      <>
        {rinsed}
        <p className={parts.soft}>Trying the ways through this visit…</p>
      </>
    );
  }
  const longest = Math.max(60, ...data.ways.map((w) => w.minutes));
  return (
    <section aria-label="Ways through this visit">
      <h3 className={css.waysTitle}>Ways through this visit</h3>
      {rinsed}
      {data.ways.map((way) => (
        <article key={way.kind} className={css.way} aria-label={said(way.labelParts, units)}>
          <div className={css.wayHead}>
            <strong>
              {way.isBest && data.ways.length > 1 ? "● " : ""}
              {said(way.labelParts, units)}
            </strong>
            {way.edits.map((edit) => (
              <Button
                disabled={stale}
                key={edit.kind}
                onClick={() => void take(edit)}
                aria-label={`Take it: ${said(way.labelParts, units)}`}
              >
                Take it
              </Button>
            ))}
          </div>
          <Bars way={way} longest={longest} />
          <span className={way.outside > 0 ? css.wayLate : parts.soft}>{wordsOf(way)}</span>
        </article>
      ))}
      {data.notByDeveloper && <p className={parts.soft}>{said(data.notByDeveloperParts, units)}</p>}
      {data.conflict && <p className={css.warn}>◆ {said(data.conflictParts, units)}</p>}
      {data.freedBy.length > 0 && (
        <ul className={css.freed} aria-label="What frees them, tried">
          {data.freedBy.map((f) => (
            <li key={said(f.labelParts, units)}>
              <span>
                {said(f.labelParts, units)}:{" "}
                {f.outside === 0 ? "all in time" : `${f.outside} panels still outside`},{" "}
                {Math.round(f.minutes)} min
                {f.levelsApart >= 0.05 ? `, looks ${f.levelsApart.toFixed(1)} level apart` : ""}
                {f.isStronger ? "; stronger than planned, only an offer" : ""}
              </span>
              {f.edits.map((edit) => (
                <Button
                  disabled={stale}
                  key={edit.kind}
                  onClick={() => void take(edit)}
                  aria-label={`Take it: ${said(f.labelParts, units)}`}
                >
                  Take it
                </Button>
              ))}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

const plural = (n: number, one: string) => `${n} ${one}${n === 1 ? "" : "s"}`;

function wordsOf(way: WayView) {
  return [
    `${Math.round(way.minutes)} min in the chair`,
    plural(way.waves.length, "wave"),
    plural(way.bowls, "bowl"),
    way.volumes.length > 0 ? `${way.volumes.map((v) => Math.round(v)).join(", ")} vol` : undefined,
    way.outside === 0 ? "all in time" : `${plural(way.outside, "panel")} outside the window`,
    way.kind !== "asPlanned" && way.levelsApart >= 0.05
      ? `looks ${way.levelsApart.toFixed(1)} level apart`
      : undefined,
    way.isStronger ? "stronger than planned: only an offer" : undefined,
    way.outside === 0 && way.isProven ? "no waves of it end sooner" : undefined,
  ]
    .filter(Boolean)
    .join(" · ");
}

/** Zones as they are painted, darker where the developer is stronger; a post where a wave begins. */
function Bars({ way, longest }: { way: WayView; longest: number }) {
  const x = (t: number) => (t / longest) * (wide - 12) + 4;
  const strongest = Math.max(...way.volumes, 1);
  return (
    <svg className={css.wayBars} viewBox={`0 0 ${wide} ${high}`} aria-hidden="true">
      {Array.from({ length: Math.floor(longest / 30) + 1 }, (_, i) => i * 30).map((t) => (
        <g key={t}>
          <line x1={x(t)} x2={x(t)} y1={2} y2={lane + 16} stroke={tokens.line} />
          <text
            x={x(t) + (t + 15 > longest ? -2 : 2)}
            y={high - 3}
            className={css.tick}
            textAnchor={t + 15 > longest ? "end" : "start"}
          >
            {t}
          </text>
        </g>
      ))}
      {way.zones.map((z) => (
        <rect
          key={`${z.step} ${z.zone}`}
          x={x(z.from)}
          width={Math.max(2, x(z.to) - x(z.from) - 1)}
          y={8}
          height={lane}
          rx={3}
          fill={z.outside > 0 ? tokens.white : tokens.accent}
          fillOpacity={z.outside > 0 || z.volume == null ? 1 : 0.45 + (0.55 * z.volume) / strongest}
          stroke={z.outside > 0 ? tokens.caution : tokens.accent}
          strokeWidth={z.outside > 0 ? 2 : 1}
        >
          <title>{zoneWords(z.zone)}</title>
        </rect>
      ))}
      {way.waves.map((w) => (
        <g key={w.from}>
          <rect
            x={x(w.from)}
            width={Math.max(3, x(w.to) - x(w.from))}
            y={lane + 11}
            height={5}
            fill={tokens.ink}
          />
          <line x1={x(w.from)} x2={x(w.from)} y1={2} y2={lane + 16} stroke={tokens.ink} strokeWidth={2} />
        </g>
      ))}
    </svg>
  );
}
