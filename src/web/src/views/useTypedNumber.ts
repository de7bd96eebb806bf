import type { InputNumber } from "antd";
import { type ComponentProps, type ComponentRef, useEffect, useLayoutEffect, useRef, useState } from "react";
import { typedNumber } from "./typedNumber";

type Field = ComponentProps<typeof InputNumber<number>>;

interface Asked {
  /** What stands now; null for nothing. */
  kept: number | null;
  min: number;
  max: number;
  /** In a draft: what is outside the limits is set too, and refused where it is kept. */
  draft?: boolean;
  /** May promise whether it was taken: what was not is not shown as if it were. */
  onSet(v: number): unknown;
  onEmpty?(): void;
}

/**
 * A field for a number. What is being typed is nobody's business until it is done: one number, one edit. What can't
 * be taken is said, and what stood stays.
 */
export function useTypedNumber({ kept, min, max, draft: isDraft, onSet, onEmpty }: Asked) {
  const [draft, setDraft] = useState<number | null>();
  const [outside, setOutside] = useState<string>();
  const sent = useRef<number | null>(undefined);
  const typed = useRef<string>(undefined);
  const left = useRef(true);
  const field = useRef<ComponentRef<typeof InputNumber>>(null);
  // Who is about to type writes over what came, not into it: chosen before the next key can reach it. The field draws
  // once more what came when this is asked; chosen before that, it would be let go again.
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked when something came
  useLayoutEffect(() => {
    if (typed.current === undefined && sent.current === undefined && !left.current) {
      queueMicrotask(() => field.current?.select());
    }
  }, [kept]);
  // Whatever came back is what stands now; but for what is being typed meanwhile and was not sent.
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked when something came back
  useEffect(() => {
    if (typed.current !== undefined && sent.current === undefined) {
      return;
    }
    setDraft(undefined);
    setOutside(undefined);
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
      void Promise.resolve(onSet(v)).then((taken) => {
        // What came since stands; what was sent since is waited for.
        if (taken === false && sent.current === v) {
          sent.current = undefined;
          setDraft(undefined);
        }
      });
    }
  };
  const done = () => {
    const text = typed.current;
    typed.current = undefined;
    if (text === undefined) {
      return;
    }
    const read = typedNumber(text);
    const isWithin = read === null || (read >= min && read <= max);
    if (isWithin || (isDraft && !Number.isNaN(read))) {
      take(read);
    } else {
      setDraft(undefined);
    }
    setOutside(isWithin ? undefined : text.trim());
  };
  const props: Field = {
    value: draft === undefined ? kept : draft,
    min,
    max,
    parser: (text) => typedNumber(text ?? "") ?? Number.NaN,
    onFocus: () => {
      left.current = false;
    },
    // Left, the field would put a number outside back to its nearest limit and say nothing.
    onChange: (v) => !left.current && setDraft(v),
    onInput: (text) => {
      typed.current = text;
    },
    onStep: (v) => {
      typed.current = undefined;
      take(v);
    },
    onBlur: () => {
      left.current = true;
      done();
    },
    onPressEnter: done,
  };
  // A draft holds what can't be taken until it is kept.
  const beyond = isDraft && kept !== null && (kept < min || kept > max) ? `${kept}` : undefined;
  return { props, field, outside: outside ?? beyond };
}

/** Why a number typed can't be taken. */
export const notWithin = (typed: string, min: number, max: number, unit?: string) =>
  `${min} to ${max}${unit ? ` ${unit}` : ""}, not ${typed}`;
