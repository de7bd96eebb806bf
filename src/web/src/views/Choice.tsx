import { Segmented } from "antd";
import { Children } from "react";

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
export function Line({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div className="set">
      <span>{name}</span>
      {Children.count(children) > 1 ? <div>{children}</div> : children}
    </div>
  );
}
