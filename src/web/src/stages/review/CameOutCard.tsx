import parts from "../../style/parts.module.css";
import { rise, useUnits } from "../../views/units";
import css from "./Review.module.css";
import type { ReviewView } from "./useReview";

type Line = ReviewView["card"][number];

const names: Record<Line["measure"], string> = {
  ends: "Ends",
  light: "Light",
  face: "Face frame",
  softness: "Root",
  balance: "Left = right",
  regrowth: "Regrowth",
};

/** The measures as planned and as they came out, card beside card. */
export function CameOutCard({ card }: { card: Line[] }) {
  const units = useUnits();
  const text = (measure: Line["measure"], value: number | null | undefined) => {
    if (value == null) {
      return "–";
    }
    switch (measure) {
      case "light":
        return `${Math.round(value * 100)} %`;
      case "softness":
        return rise(value, units);
      case "regrowth":
        return `${Math.round(value)} wk`;
      case "face":
        return `${value >= 0 ? "+" : "−"}${Math.abs(value).toFixed(1)}`;
      case "balance":
        return Math.abs(value).toFixed(1);
      case "ends":
        return value.toFixed(1);
    }
  };
  if (card.length === 0) {
    return null;
  }
  return (
    <table className={css.card}>
      <caption className={parts.soft}>As worn down, all strands</caption>
      <thead>
        <tr>
          <th scope="col">
            <span className={parts.hidden}>Measure</span>
          </th>
          <th scope="col">planned</th>
          <th scope="col">is</th>
        </tr>
      </thead>
      <tbody>
        {card.map((l) => (
          <tr key={l.measure} data-met={l.isMet}>
            <th scope="row">{names[l.measure]}</th>
            <td>{text(l.measure, l.planned)}</td>
            <td>
              {l.isMet ? "✓ " : "! "}
              {text(l.measure, l.cameOut)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
