import { InputNumber } from "antd";
import { type ComponentRef, useEffect, useRef, useState } from "react";
import parts from "../style/parts.module.css";
import { typedNumber } from "./typedNumber";
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
  const [outside, setOutside] = useState<string>();
  const sent = useRef<number | null>(undefined);
  const typed = useRef<string>(undefined);
  const left = useRef(true);
  const field = useRef<ComponentRef<typeof InputNumber>>(null);
  // Whatever came back is what stands now; but for what is being typed meanwhile and was not sent.
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked when something came back
  useEffect(() => {
    if (typed.current !== undefined && sent.current === undefined) {
      return;
    }
    // Who is about to type writes over what came, not into it.
    if (!left.current && sent.current === undefined) {
      field.current?.select();
    }
    setDraft(undefined);
    sent.current = undefined;
  }, [kept]);
  const take = (v: number | null) => {
    setOutside(undefined);
    if (v === (sent.current === undefined ? kept : sent.current)) {
      return;
    }
    if (v === null && !onEmpty) {
      setDraft(undefined);
      return;
    }
    sent.current = v;
    if (v === null) {
      setDraft(null);
      onEmpty?.();
    } else {
      // What was typed is kept to the last digit; what was only looked at stays as it was.
      onSet(scale ? Math.min(max, Math.max(min, v * scale.per)) : v);
    }
  };
  const done = () => {
    const text = typed.current;
    typed.current = undefined;
    if (text === undefined) {
      return;
    }
    const read = typedNumber(text);
    if (read !== null && !(read >= out(min) && read <= out(max))) {
      const suffix = scale?.us ?? unit;
      setOutside(`${out(min)} to ${out(max)}${suffix ? ` ${suffix}` : ""}, not ${text.trim()}`);
      setDraft(undefined);
    } else {
      take(read);
    }
  };
  const said = error ?? outside;
  return (
    <label className={parts.set}>
      <span>
        {name}
        {said && <small role="alert">{said}</small>}
      </span>
      <InputNumber
        ref={field}
        aria-label={name}
        mode="spinner"
        min={out(min)}
        max={out(max)}
        step={scale ? Math.max(10 ** -digits, Number((step / scale.per).toFixed(digits))) : step}
        value={draft === undefined ? kept : draft}
        suffix={value === null ? undefined : (scale?.us ?? unit)}
        placeholder={placeholder}
        status={said ? "error" : undefined}
        parser={(text) => typedNumber(text ?? "") ?? Number.NaN}
        onFocus={() => {
          left.current = false;
        }}
        // Left, the field would put a number outside back to its nearest limit and say nothing.
        onChange={(v) => !left.current && setDraft(v)}
        onInput={(text) => {
          typed.current = text;
        }}
        onStep={(v) => {
          typed.current = undefined;
          take(v);
        }}
        onBlur={() => {
          left.current = true;
          done();
        }}
        onPressEnter={done}
      />
    </label>
  );
}
