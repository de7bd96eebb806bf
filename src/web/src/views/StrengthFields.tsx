import type { Schemas } from "../api/client";
import { NumberField } from "./NumberField";

type Formula = Schemas["Formula"];

/** How strong a formula is and how long it stays. */
export function StrengthFields({ draft, onDraft }: { draft: Formula; onDraft(draft: Formula): void }) {
  return (
    <>
      <NumberField
        draft
        label="Developer, volume"
        min={5}
        max={40}
        step={5}
        unit="vol"
        value={draft.volume}
        onSet={(volume) => onDraft({ ...draft, volume })}
      />
      <NumberField
        draft
        label="Minutes"
        min={1}
        max={120}
        step={5}
        unit="min"
        value={draft.minutes}
        onSet={(minutes) => onDraft({ ...draft, minutes })}
      />
    </>
  );
}
