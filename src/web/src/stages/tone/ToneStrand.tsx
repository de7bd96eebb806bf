import parts from "../../style/parts.module.css";
import { tokens } from "../../style/tokens";
import { said, useUnits } from "../../views/units";
import css from "./Tone.module.css";
import type { ToneView } from "./useTone";

const height = 520;
const top = 14;

/** A strand from the scalp to the ends as it will be, and which area reaches from where to where. */
export function ToneStrand({ tone, chosen }: { tone: ToneView; chosen: number | undefined }) {
  const units = useUnits();
  const inches = units === "us";
  const cm = tone.lengthCm;
  const long = inches ? cm / 2.54 : cm;
  const every = inches ? 2 : long > 45 ? 10 : 5;
  const y = (share: number) => top + share * (height - 2 * top);
  const share = (at: number | null | undefined, inShares: boolean, none: number) =>
    at == null ? none : Math.min(1, inShares ? at : at / cm);
  return (
    <>
      <div className={parts.title}>
        <h2>Strand</h2>
        <span>{inches ? "in" : "cm"} from the scalp</span>
      </div>
      <svg
        className={css.strand}
        viewBox={`0 0 230 ${height}`}
        role="img"
        aria-label="A lightened strand: raw, toned, and the areas along it"
      >
        {Array.from({ length: Math.floor(long / every) + 1 }, (_, i) => i * every).map((at) => (
          <text key={at} x="26" y={y(at / long) + 5} textAnchor="end">
            {at}
          </text>
        ))}
        {[tone.rawStrand, tone.tonedStrand].map((colours, n) =>
          colours.map((hex, k) => (
            <rect
              key={`${n} ${k}`}
              x={n === 0 ? 34 : 52}
              width={n === 0 ? 16 : 46}
              y={y(k / colours.length)}
              height={(height - 2 * top) / colours.length + 0.6}
              fill={hex}
            />
          )),
        )}
        {tone.areas.map((a, i) => {
          const { from, to, inShares } = a.area.along;
          const [begin, end] = [y(share(from, inShares, 0)), y(share(to, inShares, 1))];
          const x = 106 + i * 9;
          const heavy = a.area.id === chosen;
          return (
            <g key={a.area.id}>
              <path
                d={`M${x - 5} ${begin + 1}H${x}V${end - 1}H${x - 5}`}
                fill="none"
                stroke={heavy ? tokens.accent : tokens.deep}
                strokeWidth={heavy ? 3.5 : 2}
              />
              <text
                x={112 + tone.areas.length * 9}
                y={begin + (end - begin) / 2 - 4 + (i % 2) * 14}
                fontWeight={heavy ? 700 : 500}
              >
                {a.area.name}
              </text>
            </g>
          );
        })}
      </svg>
      <p className={parts.soft}>
        Narrow: raw. Wide: toned.{" "}
        {tone.areas.map((a) => `${a.area.name}: ${said(a.whereParts, units)}`).join(" · ")}
      </p>
    </>
  );
}
