import { InputNumber } from "antd";
import parts from "../style/parts.module.css";
import { notWithin, useTypedNumber } from "./useTypedNumber";

/** A number without a label of its own, in a row with others; what can't be taken is said below it. */
export function NumberField(props: {
  label: string;
  prefix?: string;
  unit?: string;
  min: number;
  max: number;
  step: number;
  value: number | null;
  disabled?: boolean;
  draft?: boolean;
  onSet(v: number): unknown;
  onEmpty?(): void;
}) {
  const { label, prefix, unit, min, max, step, value, disabled, draft, onSet, onEmpty } = props;
  const typed = useTypedNumber({ kept: value, min, max, draft, onSet, onEmpty });
  return (
    <span className={parts.field}>
      <InputNumber
        {...typed.props}
        ref={typed.field}
        aria-label={label}
        prefix={prefix}
        suffix={unit}
        step={step}
        disabled={disabled}
        status={typed.outside ? "error" : undefined}
      />
      {typed.outside && <small role="alert">{notWithin(typed.outside, min, max, unit)}</small>}
    </span>
  );
}
