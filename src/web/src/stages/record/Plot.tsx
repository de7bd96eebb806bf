import { scaleLinear } from "d3-scale";
import css from "./Plot.module.css";

interface Props {
  name: string;
  months: string[];
  /** A value each month; null where there is none. */
  values: (number | null)[];
  unit: string;
  digits?: number;
}

const [width, height, foot, left] = [300, 120, 16, 34];

/** Bars month by month from nought, with the scale beside them; the table says the same in figures. */
export function Plot({ name, months, values, unit, digits = 0 }: Props) {
  const most = Math.max(...values.map((v) => v ?? 0));
  if (most === 0) {
    return null;
  }
  const y = scaleLinear([0, most], [height - foot, 12]).nice(3);
  const step = (width - left) / Math.max(months.length, 6);
  const label = (v: number) => `${v.toFixed(digits)}${unit ? ` ${unit}` : ""}`;
  const last = values.findLastIndex((v) => v != null);
  return (
    <figure className={css.plot}>
      <figcaption>
        {name}
        {last >= 0 && (
          <>
            : <b>{label(values[last] ?? 0)}</b> in {months[last]}
          </>
        )}
      </figcaption>
      <svg viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
        {y.ticks(3).map((t) => (
          <g key={t}>
            <line x1={left} x2={width} y1={y(t)} y2={y(t)} />
            <text x={left - 5} y={y(t) + 4} textAnchor="end">
              {y.tickFormat(3)(t)}
            </text>
          </g>
        ))}
        {values.map((v, i) => (
          <g key={months[i]}>
            {v != null && (
              <rect x={left + step * (i + 0.15)} width={step * 0.7} y={y(v)} height={y(0) - y(v)} rx={2} />
            )}
            {(i === 0 || i === months.length - 1) && (
              <text x={left + step * (i + 0.5)} y={height - 3} textAnchor={i === 0 ? "start" : "middle"}>
                {months[i]}
              </text>
            )}
          </g>
        ))}
      </svg>
    </figure>
  );
}
