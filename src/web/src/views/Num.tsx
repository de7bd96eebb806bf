import { InputNumber } from "antd";
import parts from "../style/parts.module.css";
import { shownAs, useUnits } from "./units";
import { notWithin, useTypedNumber } from "./useTypedNumber";

/**
 * A labelled number with its unit; what can't be taken is said beside it. Kept metric, shown as this
 * device shows it.
 */
export function Num(props: {
  name: string;
  unit?: string;
  min: number;
  max: number;
  step: number;
  value: number | null;
  error?: string;
  placeholder?: string;
  draft?: boolean;
  onSet(v: number): unknown;
  onEmpty?(): void;
}) {
  const { name, unit, min, max, step, value, error, placeholder, draft, onSet, onEmpty } = props;
  const scale = shownAs(unit, useUnits());
  const digits = scale?.digits ?? 0;
  const out = (v: number) => (scale ? Number((v / scale.per).toFixed(digits)) : v);
  const shown = scale?.us ?? unit;
  // What was typed is kept to the last digit; what was only looked at stays as it was.
  const back = (v: number) => {
    if (!scale) {
      return v;
    }
    const metric = v * scale.per;
    return v >= out(min) && v <= out(max) ? Math.min(max, Math.max(min, metric)) : metric;
  };
  const typed = useTypedNumber({
    kept: value === null ? null : out(value),
    min: out(min),
    max: out(max),
    draft,
    onSet: (v) => onSet(back(v)),
    onEmpty,
  });
  const said = error ?? (typed.outside && notWithin(typed.outside, out(min), out(max), shown));
  return (
    <label className={parts.set}>
      <span>
        {name}
        {said && <small role="alert">{said}</small>}
      </span>
      <InputNumber
        {...typed.props}
        ref={typed.field}
        aria-label={name}
        mode="spinner"
        step={scale ? Math.max(10 ** -digits, Number((step / scale.per).toFixed(digits))) : step}
        suffix={value === null ? undefined : shown}
        placeholder={placeholder}
        status={said ? "error" : undefined}
      />
    </label>
  );
}
