import { InputNumber } from "antd";

/** A labelled number with its unit; what can't be taken is said beside it. */
export function Num(props: {
  name: string;
  unit?: string;
  min: number;
  max: number;
  step: number;
  value: number | null;
  error?: string;
  placeholder?: string;
  onSet(v: number): void;
  onEmpty?(): void;
}) {
  const { name, unit, min, max, step, value, error, placeholder, onSet, onEmpty } = props;
  return (
    <label className="set">
      <span>
        {name}
        {error && <small role="alert">{error}</small>}
      </span>
      <InputNumber
        aria-label={name}
        mode="spinner"
        min={min}
        max={max}
        step={step}
        value={value}
        suffix={value === null ? undefined : unit}
        placeholder={placeholder}
        status={error ? "error" : undefined}
        changeOnBlur
        onChange={(v) => {
          if (v === null) {
            onEmpty?.();
          } else if (v !== value) {
            onSet(v);
          }
        }}
      />
    </label>
  );
}
