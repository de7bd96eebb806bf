import parts from "../../style/parts.module.css";
import { tokens } from "../../style/tokens";
import { useUnits } from "../../views/units";
import css from "./Review.module.css";
import type { ReviewZone } from "./useReview";

const width = 240;
const height = 340;
/** Levels from the scalp to the ends: planned dashed with its band, came out solid, readings as rings. */
export function Gradient({ zone, eye }: { zone: ReviewZone; eye: number }) {
  const units = useUnits();
  const x = (level: number) => 34 + ((level - 1) / 9) * (width - 44);
  const y = (share: number) => 16 + share * (height - 32);
  const places = zone.planned.length;
  const line = (levels: number[]) =>
    levels
      .map((v, i) => `${i === 0 ? "M" : "L"}${x(v).toFixed(1)} ${y((i + 0.5) / places).toFixed(1)}`)
      .join(" ");
  const band = [
    ...zone.planned.map((v, i) => `${x(v - 2 * eye).toFixed(1)},${y((i + 0.5) / places).toFixed(1)}`),
    ...zone.planned
      .map((v, i) => `${x(v + 2 * eye).toFixed(1)},${y((i + 0.5) / places).toFixed(1)}`)
      .reverse(),
  ].join(" ");
  const inches = units === "us";
  const long = inches ? zone.lengthCm / 2.54 : zone.lengthCm;
  const every = inches ? 2 : long > 40 ? 10 : 5;
  const read = zone.depths.filter((d) => d.cameOut != null);
  return (
    <>
      <div className={parts.title}>
        <h2>{zone.words}</h2>
        <span>{inches ? "in" : "cm"} from the scalp</span>
      </div>
      <svg
        className={css.gradient}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`Levels along the hair, ${zone.words}`}
      >
        {Array.from({ length: Math.floor(long / every) + 1 }, (_, i) => i * every).map((cm) => (
          <g key={cm}>
            <line x1="30" x2={width} y1={y(cm / long)} y2={y(cm / long)} stroke={tokens.line} />
            <text x="22" y={y(cm / long) + 4} textAnchor="end">
              {cm}
            </text>
          </g>
        ))}
        {[2, 4, 6, 8, 10].map((level) => (
          <text key={level} x={x(level)} y={height - 1} textAnchor="middle">
            {level}
          </text>
        ))}
        <polygon points={band} fill={tokens.accentSoft} opacity="0.7" />
        <path
          d={line(zone.planned)}
          fill="none"
          stroke={tokens.accent}
          strokeWidth="3"
          strokeDasharray="6 4"
        />
        {read.length > 0 && <path d={line(zone.cameOut)} fill="none" stroke={tokens.ink} strokeWidth="3" />}
        {read.map((d) => (
          <circle
            key={d.depth}
            cx={x(d.cameOut ?? 1)}
            cy={y(d.at)}
            r="7"
            fill={tokens.white}
            stroke={tokens.ink}
            strokeWidth="3"
          />
        ))}
      </svg>
      <p className={parts.soft}>
        Dashed: planned.{" "}
        {read.length > 0
          ? "Solid: came out, rings where it was read."
          : "Nothing is read here: no line for what came out."}
      </p>
    </>
  );
}
