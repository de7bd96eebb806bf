import { Button, Popover, Segmented } from "antd";
import { useState } from "react";
import type { PanelPaint, PlanEdit, PlanView, Schemas } from "../../api/client";
import parts from "../../style/parts.module.css";
import { ColourFields } from "../../views/ColourFields";
import { StrengthFields } from "../../views/StrengthFields";
import { formulaWords } from "../../views/words";

interface Props {
  plan: PlanView;
  panels: string[];
  paint: PanelPaint;
  coat: number;
  edit(edit: PlanEdit): Promise<boolean>;
}

/** Another kind is of no product yet: which one is said at Mix. */
const anyProduct = {
  product: null,
  figures: null,
  second: null,
  additive: null,
  shades: null,
  base: null,
  reflect: null,
};

/** Which formula the panels take, and what is in it: a lightener, or a deposit. */
export function FormulaChoice({ plan, panels, paint, coat, edit }: Props) {
  const formulas = plan.plan.formulas;
  const mine = formulas.find((f) => f.id === paint.formula) ?? formulas[0];
  const [draft, setDraft] = useState(mine);
  const [open, setOpen] = useState(false);
  const free = (["A", "B", "C", "D", "E"] as const).find((id) => !formulas.some((f) => f.id === id));
  const deposit = draft.depositLevel != null;
  return (
    <Popover
      trigger="click"
      open={open}
      onOpenChange={(o) => {
        setOpen(o);
        setDraft(mine);
      }}
      content={
        <div className={parts.formula} role="group" aria-label="Formula">
          <div className={parts.row}>
            {formulas.map((f) => (
              <Button
                key={f.id}
                type={f.id === draft.id ? "primary" : "default"}
                onClick={() => {
                  setDraft(f);
                  edit({ kind: "useFormula", panels, formula: f.id, coat });
                }}
              >
                {f.id}
              </Button>
            ))}
            {free && (
              <Button
                onClick={async () => {
                  const made = { ...draft, id: free };
                  if (
                    await edit({
                      kind: "together",
                      edits: [
                        { kind: "setFormula", formula: made },
                        { kind: "useFormula", panels, formula: free, coat },
                      ],
                    })
                  ) {
                    setDraft(made);
                  }
                }}
              >
                + {free}
              </Button>
            )}
          </div>
          <Segmented
            aria-label="Product"
            value={deposit ? "deposit" : draft.lightener}
            options={[
              { value: "clay", label: "Clay" },
              { value: "powder", label: "Powder" },
              { value: "cream", label: "Cream" },
              { value: "half", label: "Half" },
              { value: "deposit", label: "Deposit" },
            ]}
            onChange={(v) =>
              setDraft(
                v === "deposit"
                  ? {
                      ...draft,
                      ...anyProduct,
                      depositLevel: Math.round(plan.hair.naturalLevel),
                      volume: Math.min(draft.volume, 10),
                    }
                  : { ...draft, ...anyProduct, lightener: v as Schemas["Lightener"], depositLevel: null },
              )
            }
          />
          <div className={parts.row}>
            {deposit && <ColourFields draft={draft} onDraft={setDraft} />}
            <StrengthFields draft={draft} onDraft={setDraft} />
          </div>
          <Segmented
            aria-label="Consistency"
            value={draft.consistency ?? "right"}
            options={[
              { value: "runny", label: "Runny" },
              { value: "right", label: "Soft peak" },
              { value: "stiff", label: "Stiff" },
            ]}
            onChange={(v) => setDraft({ ...draft, consistency: v as Schemas["Consistency"] })}
          />
          <p className={parts.why}>
            The leaflet of the product comes first. Over 20 vol stays off the scalp.
          </p>
          <Button
            type="primary"
            onClick={async () => {
              if (await edit({ kind: "setFormula", formula: draft })) {
                setOpen(false);
              }
            }}
          >
            Use for all {draft.id}
          </Button>
        </div>
      }
    >
      <Button>{formulaWords(mine)}</Button>
    </Popover>
  );
}
