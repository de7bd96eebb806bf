import type { Zone } from "../../api/client";
import parts from "../../style/parts.module.css";
import { tokens } from "../../style/tokens";
import { clock } from "../../views/times";
import { zoneWords } from "../../views/words";
import css from "./Apply.module.css";
import { type Bar, barsOf } from "./bars";
import type { ApplyView } from "./useApply";

const top = 16;
const high = 590;
const left = 46;
const wide = 208;
/** How much room a letter of a zone's name takes, written downwards. */
const letterHigh = 5.4;
/** Names on the left don't touch. */
const apart = 22;

/** The clock: filled where painted, dashed where it may be rinsed, a line for each wave and for now. */
export function ChairClock({ service, now }: { service: ApplyView; now: number }) {
  const bars = barsOf(service, now);
  if (bars.length === 0) {
    return <p className={parts.calm}>Nothing is on the clock.</p>;
  }
  const begin = Math.min(now, ...bars.map((b) => b.begun), Date.parse(service.seatedAt ?? service.now));
  const end = Math.max(
    ...bars.map((b) => Math.max(b.painted, b.to, b.from)),
    Date.parse(service.doneAt ?? service.now),
  );
  const y = (t: number) => top + ((t - begin) / (end - begin)) * (high - top - 12);
  const step = (end - begin > 150 * 60_000 ? 30 : 20) * 60_000;
  const ticks = [];
  for (let t = Math.ceil(begin / step) * step; t < end; t += step) {
    ticks.push(t);
  }
  const lane = (wide - left - 4) / bars.length;
  const bar = Math.min(18, lane - 3);
  const waves = service.waves;
  // Each wave's name beside its line; a little lower where now stands there already.
  const names = waves.map((w) => ({ ...w, at: Date.parse(w.startsAt) }));
  const nameAt = (at: number) => (Math.abs(y(at) - y(now)) < apart ? y(now) + apart : y(at));
  const taken = [y(now), ...names.map((w) => nameAt(w.at))];
  return (
    <>
      <div className={parts.title}>
        <h2>Clock</h2>
        <span>{waves.length === 1 ? "one rinse" : waves.length > 0 ? `${waves.length} rinses` : ""}</span>
      </div>
      <svg
        className={css.clock}
        viewBox={`0 0 ${wide} ${high}`}
        role="img"
        aria-label={wordsOf(bars, service)}
      >
        {ticks.map((t) => (
          <g key={t}>
            <line x1={left - 4} x2={wide} y1={y(t)} y2={y(t)} stroke={tokens.line} />
            {taken.every((at) => Math.abs(at - y(t)) > 15) && (
              <text x={left - 8} y={y(t) + 4} textAnchor="end" className={css.tick}>
                {clock(t)}
              </text>
            )}
          </g>
        ))}
        {bars.map((b, i) => {
          const x = left + i * lane + (lane - bar) / 2;
          const [from, to] = b.from <= b.to ? [b.from, b.to] : [b.to, b.from];
          // The name stands above where there is room for it, else beside the wait, else below.
          const words = short(b.zone);
          const nameHigh = words.length * letterHigh + 8;
          const name =
            y(b.begun) - top > nameHigh
              ? { x: x + bar / 2 - 3, y: y(b.begun) - 5, anchor: "end" as const }
              : y(from) - y(b.painted) > nameHigh
                ? { x: x + bar / 2 + 3.5, y: y(b.painted) + 5, anchor: "start" as const }
                : { x: x + bar / 2 - 3, y: Math.min(high - 4, y(to) + 6), anchor: "start" as const };
          return (
            <g key={b.zone}>
              <rect
                x={x + bar / 2 - 2.5}
                width="5"
                y={y(b.painted)}
                height={Math.max(0, y(from) - y(b.painted))}
                fill={tokens.accentMid}
              />
              <rect
                x={x}
                width={bar}
                y={y(b.begun)}
                height={Math.max(3, y(b.painted) - y(b.begun))}
                rx="4"
                fill={tokens.white}
                stroke={tokens.accent}
                strokeWidth="1.5"
              />
              {b.done > b.begun && (
                <rect
                  x={x}
                  width={bar}
                  y={y(b.begun)}
                  height={Math.max(3, y(b.done) - y(b.begun))}
                  rx="4"
                  fill={tokens.accent}
                />
              )}
              {b.rinsed ? (
                <text x={x + bar / 2} y={y(from) + 12} textAnchor="middle" className={css.tick}>
                  ✓
                </text>
              ) : (
                <rect
                  x={x}
                  width={bar}
                  y={y(from)}
                  height={Math.max(4, y(to) - y(from))}
                  rx="4"
                  fill="none"
                  stroke={b.from <= b.to ? tokens.good : tokens.alarm}
                  strokeWidth="2"
                  strokeDasharray="4 3"
                />
              )}
              <text
                className={css.lane}
                textAnchor={name.anchor}
                transform={`translate(${name.x} ${name.y}) rotate(90)`}
              >
                {words}
              </text>
            </g>
          );
        })}
        {names.map((w) => (
          <g key={w.number}>
            <rect
              x={left}
              width={wide - left}
              y={y(w.at)}
              height={Math.max(2, y(Date.parse(w.endsAt)) - y(w.at))}
              fill={tokens.good}
              opacity="0.12"
            />
            <line
              x1={left - 4}
              x2={wide}
              y1={y(w.at)}
              y2={y(w.at)}
              stroke={tokens.good}
              strokeWidth="1.5"
              strokeDasharray="5 4"
            />
            <rect x="0" y={nameAt(w.at) - 10} width="44" height="20" rx="10" fill={tokens.good} />
            <text x="22" y={nameAt(w.at) + 4} textAnchor="middle" className={css.pill}>
              rinse {w.number}
            </text>
          </g>
        ))}
        <line x1={left - 8} x2={wide} y1={y(now)} y2={y(now)} stroke={tokens.ink} strokeWidth="2" />
        <rect x="0" y={y(now) - 10} width="44" height="20" rx="10" fill={tokens.ink} />
        <text x="22" y={y(now) + 4} textAnchor="middle" className={css.pill}>
          {clock(now)}
        </text>
      </svg>
      <p className={parts.soft}>
        Filled: painted. Dashed: when it may be rinsed
        {bars.some((b) => b.from > b.to) ? "; red: not all of a zone at once" : ""}.
        {service.isProven && waves.length > 0 ? " No other waves end sooner." : ""}
      </p>
    </>
  );
}

const short = (zone: Zone) =>
  zoneWords(zone)
    .replace(/ frame\b/, "")
    .replace(/\b(left|right)\b/, (side) => side[0]);

const wordsOf = (bars: Bar[], service: ApplyView) =>
  [
    ...bars.map(
      (b) =>
        `${zoneWords(b.zone)}: painted by ${clock(b.painted)}, rinsed ${clock(b.from)} to ${clock(b.to)}`,
    ),
    ...service.waves.map((w) => `rinse ${w.number} at ${clock(w.startsAt)}`),
  ].join("; ");
