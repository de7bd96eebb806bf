import parts from "../../style/parts.module.css";
import { tokens } from "../../style/tokens";
import { stepKindWords } from "../../views/words";
import type { Bowl } from "../../weighing/bowls";
import css from "./Clock.module.css";
import type { MixView } from "./useMix";

const whenOf = (b: Bowl) =>
  `Bowl ${b.number}, formula ${b.formula}: mix at minute ${b.mixAtMinute.toFixed(0)}, ` +
  `paint until ${b.paintedUntilMinute.toFixed(0)}, ends at ${b.livesUntilMinute.toFixed(0)}`;

interface Props {
  mix: MixView;
  /** Number of the bowl shown. */
  chosen: number | undefined;
  onChoose(number: number): void;
}

/** The bowls on the clock: filled while they are painted from, a line where they end. */
export function Clock({ mix, chosen, onChoose }: Props) {
  const { bowls } = mix;
  const steps = mix.steps.length > 1 ? mix.steps : [];
  const end = Math.max(
    30,
    ...bowls.map((b) => Math.max(b.paintedUntilMinute, b.livesUntilMinute)),
    ...steps.map((s) => s.nextAtMinute),
    ...mix.waves.map((w) => w.toMinute),
  );
  const every = end > 150 ? 30 : end > 70 ? 20 : 10;
  const height = 560;
  const y = (minute: number) => 14 + (minute / end) * (height - 28);
  const lanes = Math.min(4, Math.max(1, bowls.length));
  const wide = 168 / lanes;
  return (
    <>
      <div className={parts.title}>
        <h2>Clock</h2>
        <span>min</span>
      </div>
      <svg className={css.clock} viewBox={`0 0 208 ${height}`} role="group" aria-label="Bowls on the clock">
        {Array.from({ length: Math.floor(end / every) + 1 }, (_, i) => i * every).map((m) => (
          <g key={m}>
            <line x1="34" x2="206" y1={y(m)} y2={y(m)} stroke={tokens.line} />
            <text x="26" y={y(m) + 4} textAnchor="end">
              {m}
            </text>
          </g>
        ))}
        {steps.slice(0, -1).map((s) => (
          <g key={s.number}>
            {s.rinse && s.nextAtMinute > s.doneAtMinute && (
              <rect
                x="36"
                width="168"
                y={y(s.doneAtMinute)}
                height={y(s.nextAtMinute) - y(s.doneAtMinute)}
                fill={tokens.line}
              />
            )}
            {s.rinse && (
              <text x="120" y={y((s.doneAtMinute + s.nextAtMinute) / 2) + 5} textAnchor="middle">
                rinse, dry, read
              </text>
            )}
          </g>
        ))}
        {mix.waves.map((w, i) => (
          <g key={w.fromMinute}>
            <rect
              x="36"
              width="168"
              y={y(w.fromMinute)}
              height={Math.max(3, y(w.toMinute) - y(w.fromMinute))}
              fill={tokens.track}
            />
            <text x="204" y={y(w.fromMinute) + 12} textAnchor="end">
              ≈ {i + 1}
            </text>
          </g>
        ))}
        {bowls.map((b, i) => {
          const x = 36 + (i % lanes) * wide;
          return (
            <g
              key={b.number}
              role="button"
              tabIndex={0}
              aria-label={whenOf(b)}
              aria-pressed={b.number === chosen}
              onClick={() => onChoose(b.number)}
              onKeyDown={(e) => {
                if (e.key === "Enter" || e.key === " ") {
                  e.preventDefault();
                  onChoose(b.number);
                }
              }}
            >
              <rect
                x={x}
                width={wide - 6}
                y={y(b.readyAtMinute)}
                height={Math.max(2, y(b.livesUntilMinute) - y(b.readyAtMinute))}
                fill={tokens.accentSoft}
                rx="5"
              />
              <rect
                x={x}
                width={wide - 6}
                y={y(b.mixAtMinute)}
                height={Math.max(3, y(b.paintedUntilMinute) - y(b.mixAtMinute))}
                fill={b.begun?.isDone ? tokens.deep : tokens.accent}
                stroke={b.number === chosen ? tokens.ink : "none"}
                strokeWidth="3"
                rx="5"
              />
              <line
                x1={x}
                x2={x + wide - 6}
                y1={y(b.livesUntilMinute)}
                y2={y(b.livesUntilMinute)}
                stroke={tokens.alarm}
                strokeWidth="3"
              />
              <text
                className={css.on}
                x={x + (wide - 6) / 2}
                y={(y(b.mixAtMinute) + y(b.paintedUntilMinute)) / 2 + 5}
                textAnchor="middle"
              >
                {b.number}
              </text>
            </g>
          );
        })}
      </svg>
      <p className={parts.soft}>
        Filled: mixed and painted from. Red line: its end of life.
        {mix.waves.length > 0 &&
          ` ≈ ${mix.waves.length === 1 ? "one rinse" : `${mix.waves.length} rinses`}: ${mix.waves
            .map((w) => `${w.panels} panels at ${w.fromMinute.toFixed(0)}`)
            .join(", ")}. ${mix.chairMinutes.toFixed(0)} min in the chair.`}
      </p>
      {steps.length > 0 && (
        <ol className={css.mixat} aria-label="Steps on the clock">
          {steps.map((s) => (
            <li key={s.number}>
              <b>
                {s.number + 1} · {stepKindWords[s.kind]}
              </b>
              <span>
                from {s.fromMinute.toFixed(0)}, laid by {s.laidAtMinute.toFixed(0)}
                {s.doneAtMinute > s.laidAtMinute && `, done at ${s.doneAtMinute.toFixed(0)}`}
              </span>
            </li>
          ))}
        </ol>
      )}
      <ol className={css.mixat}>
        {bowls.map((b) => (
          <li key={b.number}>
            <b>
              {b.number} · {b.formula}
            </b>
            <span>
              mix at {b.mixAtMinute.toFixed(0)}, till {b.livesUntilMinute.toFixed(0)}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}
