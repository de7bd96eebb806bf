import { Select } from "antd";
import type { Schemas } from "../api/client";
import { NumberField } from "./NumberField";
import { reflects } from "./words";

type Formula = Schemas["Formula"];

/** What a colour is: its level, its reflect and what it is based on. */
export function ColourFields({ draft, onDraft }: { draft: Formula; onDraft(draft: Formula): void }) {
  const shades = draft.shades != null;
  return (
    <>
      <NumberField
        draft
        label="Deposit level"
        min={1}
        max={10}
        step={0.5}
        prefix="level"
        disabled={shades}
        value={draft.depositLevel ?? null}
        onSet={(depositLevel) => onDraft({ ...draft, depositLevel })}
      />
      {!shades && (
        <Select
          aria-label="Reflect"
          style={{ minWidth: 110 }}
          value={draft.reflect ?? "natural"}
          options={reflects.map((r) => ({ value: r, label: r }))}
          onChange={(reflect) => onDraft({ ...draft, reflect: reflect === "natural" ? null : reflect })}
        />
      )}
      <Select
        aria-label="Based on"
        style={{ minWidth: 120 }}
        value={draft.base ?? "demi"}
        options={[
          { value: "gloss", label: "gloss" },
          { value: "demi", label: "demi" },
          { value: "permanent", label: "permanent" },
        ]}
        onChange={(base) => onDraft({ ...draft, base: base === "demi" ? null : base })}
      />
    </>
  );
}
