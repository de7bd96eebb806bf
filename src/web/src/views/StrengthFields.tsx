import { InputNumber } from "antd";
import type { Schemas } from "../api/client";

type Formula = Schemas["Formula"];

/** How strong a formula is and how long it stays. */
export function StrengthFields({ draft, onDraft }: { draft: Formula; onDraft(draft: Formula): void }) {
  return (
    <>
      <InputNumber
        aria-label="Developer, volume"
        min={5}
        max={40}
        step={5}
        suffix="vol"
        value={draft.volume}
        onChange={(v) => onDraft({ ...draft, volume: v ?? draft.volume })}
      />
      <InputNumber
        aria-label="Minutes"
        min={1}
        max={120}
        step={5}
        suffix="min"
        value={draft.minutes}
        onChange={(v) => onDraft({ ...draft, minutes: v ?? draft.minutes })}
      />
    </>
  );
}
