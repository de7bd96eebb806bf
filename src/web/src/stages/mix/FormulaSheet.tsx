import { Button, Checkbox } from "antd";
import { useState } from "react";
import type { PlanEdit, Schemas } from "../../api/client";
import parts from "../../style/parts.module.css";
import { Choice, Line, Pick } from "../../views/Choice";
import { Num } from "../../views/Num";
import { NumberField } from "../../views/NumberField";
import { lighteners as allLighteners } from "../../views/words";

type Formula = Schemas["Formula"];

interface Props {
  formula: Formula;
  /** Whether any of its panels stays open. */
  openAir: boolean;
  offers: Schemas["Offers"];
  edit(edit: PlanEdit): Promise<boolean>;
  onDone(): void;
}

const none = ["none", "none"] as const;
const named = (products: readonly { name: string }[]) => products.map((p) => [p.name, p.name] as const);

/** What a formula is made of: products by share, ratio, developer, additive; shades in parts for a deposit. */
export function FormulaSheet({ formula, openAir, offers, edit, onDone }: Props) {
  const { lighteners, additives } = offers;
  const [draft, setDraft] = useState(formula);
  const by = (change: Partial<Formula>) => setDraft({ ...draft, ...change });
  const mine = lighteners.find((p) => p.name === draft.product);
  const deposit = draft.depositLevel != null;
  const ratio = (draft.developerParts ?? 1.5) / (draft.lightenerParts ?? 1);
  const setRatio = (d: number) => by({ lightenerParts: 1, developerParts: d });
  return (
    <div className={parts.sheet} role="group" aria-label={`Formula ${formula.id}`}>
      {deposit ? (
        <Shades draft={draft} by={by} shades={offers.shades} />
      ) : (
        <>
          <Pick
            name="Lightener"
            value={draft.product ?? draft.lightener}
            options={[...named(lighteners), ...allLighteners.map((k) => [k, `any ${k}`] as const)]}
            onChange={(v) => {
              const p = lighteners.find((l) => l.name === v);
              by(
                p
                  ? { lightener: p.lightener, product: p.name, figures: p.figures }
                  : { lightener: v as Formula["lightener"], product: null, figures: null },
              );
            }}
          />
          <Pick
            name="With a second"
            label="Second lightener"
            value={draft.second?.product ?? none[0]}
            options={[none, ...named(lighteners.filter((p) => p.name !== draft.product))]}
            onChange={(v) => {
              const p = lighteners.find((l) => l.name === v);
              by({
                second: p
                  ? {
                      lightener: p.lightener,
                      share: draft.second?.share ?? 0.5,
                      product: p.name,
                      figures: p.figures,
                    }
                  : null,
              });
            }}
          />
          {draft.second && (
            <Num
              draft
              name="Its share"
              unit="%"
              min={5}
              max={95}
              step={5}
              value={Math.round(draft.second.share * 100)}
              onSet={(v) => draft.second && by({ second: { ...draft.second, share: v / 100 } })}
            />
          )}
        </>
      )}
      <Choice
        name="Ratio"
        value={String(ratio)}
        options={[...new Set([0.5, 1, 1.5, 2, ...(mine?.ratios ?? [])])]
          .sort((a, b) => a - b)
          .map((r) => [String(r), r < 1 ? `${1 / r} : 1` : `1 : ${r}`] as const)}
        onChange={(v) => setRatio(Number(v))}
      />
      <Num
        draft
        name="Ratio"
        min={0.1}
        max={10}
        step={0.1}
        value={Math.round(ratio * 100) / 100}
        onSet={setRatio}
      />
      <Num
        draft
        name="Developer"
        unit="vol"
        min={5}
        max={40}
        step={5}
        value={draft.volume}
        onSet={(v) => by({ volume: v })}
      />
      <Num
        draft
        name="Rinse at"
        unit="min"
        min={1}
        max={120}
        step={5}
        value={draft.minutes}
        onSet={(v) => by({ minutes: v })}
      />
      {!deposit && (
        <>
          <Pick
            name="Bond additive"
            value={draft.additive?.product ?? none[0]}
            options={[none, ...named(additives)]}
            onChange={(v) => {
              const p = additives.find((a) => a.name === v);
              by({ additive: (openAir ? p?.openAir : p?.covered) ?? null });
            }}
          />
          <Checkbox
            checked={draft.lowHeat ?? false}
            onChange={(e) => by({ lowHeat: e.target.checked, heatConfirmed: false })}
          >
            Low heat, only if the leaflet allows it
          </Checkbox>
        </>
      )}
      <div className={parts.row}>
        <Button
          type="primary"
          onClick={async () => {
            if (await edit({ kind: "setFormula", formula: draft })) {
              onDone();
            }
          }}
        >
          Mix it so
        </Button>
        <Button onClick={onDone}>Leave</Button>
      </div>
    </div>
  );
}

function Shades(props: { draft: Formula; by(change: Partial<Formula>): void; shades: Schemas["Shade"][] }) {
  const { draft, by, shades } = props;
  const mixed = draft.shades?.shades ?? [];
  const set = (next: typeof mixed) => by({ shades: next.length > 0 ? { shades: next } : null });
  return (
    <>
      {mixed.map((s, i) => (
        <Line key={s.name} name={s.name}>
          <NumberField
            draft
            label={`Parts of ${s.name}`}
            min={0.1}
            max={100}
            step={0.5}
            value={s.parts}
            unit="parts"
            onSet={(v) => set(mixed.map((m, j) => (i === j ? { ...m, parts: v } : m)))}
          />
          <Button aria-label={`Without ${s.name}`} onClick={() => set(mixed.filter((_, j) => j !== i))}>
            −
          </Button>
        </Line>
      ))}
      {mixed.length < 4 && (
        <Pick
          name="Shade"
          label="Add a shade"
          placeholder="Add a shade"
          value={null}
          options={named(shades.filter((p) => !mixed.some((m) => m.name === p.name)))}
          onChange={(v) => set([...mixed, ...shades.filter((s) => s.name === v)])}
        />
      )}
    </>
  );
}
