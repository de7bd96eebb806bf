import { InputNumber } from "antd";
import { useEffect, useRef, useState } from "react";
import parts from "../style/parts.module.css";
import { shownAs, useUnits } from "./units";

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
  onSet(v: number): void;
  onEmpty?(): void;
}) {
  const { name, unit, min, max, step, value, error, placeholder, onSet, onEmpty } = props;
  const scale = shownAs(unit, useUnits());
  const digits = scale?.digits ?? 0;
  const out = (v: number) => (scale ? Number((v / scale.per).toFixed(digits)) : v);
  const kept = value === null ? null : out(value);
  // What is being typed is nobody's business until it is done: one number, one edit.
  const [draft, setDraft] = useState<number | null>();
  const sent = useRef<number | null>(undefined);
  const typing = useRef(false);
  // Whatever came back is what stands now; but for what is being typed meanwhile and was not sent.
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked when something came back
  useEffect(() => {
    if (typing.current && sent.current === undefined) {
      return;
    }
    setDraft(undefined);
    sent.current = undefined;
  }, [kept]);
  const take = (v: number | null) => {
    if (v === (sent.current === undefined ? kept : sent.current)) {
      return;
    }
    sent.current = v;
    if (v === null) {
      onEmpty?.();
    } else {
      // What was typed is kept to the last digit; what was only looked at stays as it was.
      onSet(scale ? Math.min(max, Math.max(min, v * scale.per)) : v);
    }
  };
  return (
    <label className={parts.set}>
      <span>
        {name}
        {error && <small role="alert">{error}</small>}
      </span>
      <InputNumber
        aria-label={name}
        mode="spinner"
        min={out(min)}
        max={out(max)}
        step={scale ? Math.max(10 ** -digits, Number((step / scale.per).toFixed(digits))) : step}
        value={draft === undefined ? kept : draft}
        suffix={value === null ? undefined : (scale?.us ?? unit)}
        placeholder={placeholder}
        status={error ? "error" : undefined}
        onChange={(v) => {
          typing.current = true;
          setDraft(v);
        }}
        onStep={(v) => {
          typing.current = false;
          take(v);
        }}
        onBlur={() => {
          typing.current = false;
          if (draft !== undefined) {
            take(draft);
          }
        }}
        onPressEnter={() => draft !== undefined && take(draft)}
      />
    </label>
  );
}
