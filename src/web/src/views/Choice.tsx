import { Segmented, Select, Switch } from "antd";
import { Children } from "react";
import parts from "../style/parts.module.css";

/** One of a few, under a word that says of what. */
export function Choice<T extends string>({
  name,
  label,
  value,
  options,
  onChange,
}: {
  name: string;
  /** What it is called to a screen reader, where the word alone says too little. */
  label?: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange(value: T): void;
}) {
  return (
    <Line name={name}>
      <Segmented
        aria-label={label ?? name}
        value={value}
        options={options.map(([v, words]) => ({ value: v, label: words }))}
        onChange={(v) => onChange(v as T)}
      />
    </Line>
  );
}

/** A word and what is set beside it. */
export function Line({ name, long, children }: { name: string; long?: boolean; children: React.ReactNode }) {
  return (
    <div className={long ? `${parts.set} ${parts.long}` : parts.set}>
      <span>{name}</span>
      {Children.count(children) > 1 ? <div>{children}</div> : children}
    </div>
  );
}

/** One of several, chosen from a list that opens. */
export function Pick<T extends string>({
  name,
  label,
  value,
  options,
  placeholder,
  onChange,
}: {
  name: string;
  label?: string;
  value: T | null;
  options: readonly (readonly [T, string])[];
  placeholder?: string;
  onChange(value: T): void;
}) {
  return (
    <Line name={name}>
      <Select
        aria-label={label ?? name}
        style={{ minWidth: 150 }}
        value={value}
        placeholder={placeholder}
        options={options.map(([v, words]) => ({ value: v, label: words }))}
        onChange={(v) => v !== null && onChange(v as T)}
      />
    </Line>
  );
}

/** Yes or no, beside a word. */
export function Whether({
  name,
  value,
  onChange,
}: {
  name: string;
  value: boolean;
  onChange(value: boolean): void;
}) {
  return (
    <Line name={name}>
      <Switch aria-label={name} checked={value} onChange={onChange} />
    </Line>
  );
}

/** Words as a list to pick from. */
export const asWords = <T extends string>(words: readonly T[]) =>
  words.map((w) => [w, w.replace(/([A-Z])/g, " $1").toLowerCase()] as const);
