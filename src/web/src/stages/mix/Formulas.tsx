import { Button, Popover } from "antd";
import { useState } from "react";
import type { PlanEdit, PlanView, Schemas } from "../../api/client";
import parts from "../../style/parts.module.css";
import { formulaFills, tokens } from "../../style/tokens";
import { mapBox, pathOf } from "../../views/CrownMap";
import { quantity, said, useUnits } from "../../views/units";
import { FormulaSheet } from "./FormulaSheet";
import css from "./Formulas.module.css";
import type { MixView } from "./useMix";

interface Props {
  plan: PlanView;
  mix: MixView;
  /** Formula of the bowl that is shown. */
  formula: string | undefined;
  /** Panels lit up: of a bowl, of a finding. */
  lit: ReadonlySet<string>;
  edit(edit: PlanEdit): Promise<boolean>;
  onLight(panels: string[]): void;
}

/** The formulas, which panels each serves, and what all of it comes to. */
export function Formulas({ plan, mix, formula, lit, edit, onLight }: Props) {
  const units = useUnits();
  const g = (v: number, digits = 0) => quantity(v, "g", units, digits);
  return (
    <>
      <div className={parts.title}>
        <h2>Formulas</h2>
        <span>
          {units === "us" ? "ounces" : "grams"} for {new Set(mix.formulas.flatMap((f) => f.panels)).size}{" "}
          panels
        </span>
      </div>
      {mix.formulas.map((f) => (
        <Formula
          key={f.formula.id}
          mix={mix}
          f={f}
          now={f.formula.id === formula}
          edit={edit}
          onLight={onLight}
        />
      ))}
      <Served plan={plan} mix={mix} lit={lit} />
      <dl className={css.totals}>
        <div>
          <dt>Hair reached</dt>
          <dd>{g(mix.hairGrams)}</dd>
        </div>
        <div>
          <dt>In all</dt>
          <dd>
            {g(mix.grams)}
            {mix.grams > mix.usual.toGrams && <small> above usual</small>}
            {mix.grams < mix.usual.fromGrams && <small> below usual</small>}
          </dd>
        </div>
        <div>
          <dt>
            Usual for this work{" "}
            <Popover trigger="click" content={<p className={parts.why}>{said(mix.usual.whyParts, units)}</p>}>
              <Button type="text" size="small">
                Why
              </Button>
            </Popover>
          </dt>
          <dd>
            {g(mix.usual.fromGrams)} – {g(mix.usual.toGrams)}
          </dd>
        </div>
        <div>
          <dt>Cost</dt>
          <dd>{mix.cost === null ? "no prices noted" : mix.cost.toFixed(2)}</dd>
        </div>
      </dl>
    </>
  );
}

function Formula(props: {
  mix: MixView;
  f: Schemas["FormulaView"];
  now: boolean;
  edit(edit: PlanEdit): Promise<boolean>;
  onLight(panels: string[]): void;
}) {
  const { mix, f, now, edit, onLight } = props;
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const bowls = mix.bowls.filter((b) => b.formula === f.formula.id);
  const areas = mix.steps.filter((s) => f.panels.length === 0 && s.formula === f.formula.id);
  const products = [
    f.formula.product,
    f.formula.second?.product,
    ...(f.formula.shades?.shades.map((s) => s.name) ?? []),
  ].filter(Boolean);
  return (
    <article
      className={now ? `${css.formulaCard} ${css.now}` : css.formulaCard}
      aria-label={`Formula ${f.formula.id}`}
    >
      <h3>
        <span>
          {f.formula.id} · {products.length > 0 ? products.join(" + ") : f.words}
        </span>
        <b>{quantity(f.grams, "g", units, 0)}</b>
      </h3>
      <p>
        {f.words}, {ratioWords(f.formula)}, {f.holds}
        {f.formula.additive ? `, ${f.formula.additive.product ?? "bond additive"}` : ""}
        {f.formula.lowHeat ? ", low heat" : ""}
      </p>
      <p className={parts.soft}>
        {areas.length > 0 ? areas.map((s) => s.words).join(", ") : `${f.panels.length} panels`} ·{" "}
        {bowls.length} {bowls.length === 1 ? "bowl" : "bowls"} · usable for {f.windowMinutes} min
        {f.strength !== 1 && ` · strength ${Math.round((f.strength - 1) * 1000) / 10} %`}
        {f.runsFurther > 0 && ` · bleeds ${Math.round(f.runsFurther * 100)} % further`}
      </p>
      <div className={parts.row}>
        <Consistency
          developer={(f.formula.developerParts ?? 1.5) / (f.formula.lightenerParts ?? 1)}
          words={f.holds}
        />
        <Popover
          trigger="click"
          open={open}
          onOpenChange={setOpen}
          placement="right"
          destroyOnHidden
          content={
            <FormulaSheet
              key={open ? "open" : "shut"}
              formula={f.formula}
              openAir={f.isOpen}
              offers={mix.offers}
              edit={edit}
              onDone={() => setOpen(false)}
            />
          }
        >
          <Button>Change…</Button>
        </Popover>
        <Button type="text" onClick={() => onLight(f.panels)}>
          Show
        </Button>
      </div>
      {f.shelfDiffers && (
        <p className={parts.soft}>
          Product details have changed. Choose it again under Change to take that in.
        </p>
      )}
    </article>
  );
}

const ratioWords = (f: Schemas["Formula"]) => {
  const [l, d] = [f.lightenerParts ?? 1, f.developerParts ?? 1.5];
  return d < l ? `${round(l / d)} : 1` : `1 : ${round(d / l)}`;
};

const round = (v: number) => Math.round(v * 100) / 100;

/** How a mixture stands on a spoon: a stiff one keeps its peak, a loose one runs flat. */
function Consistency({ developer, words }: { developer: number; words: string }) {
  const height = 30 / (1 + Math.max(0, developer - 0.4) ** 1.6);
  const wide = 22 + 14 * Math.min(1.4, developer / 2);
  return (
    <svg width="72" height="40" viewBox="0 0 72 40" role="img" aria-label={words}>
      <path
        d={[
          `M${36 - wide} 35`,
          `C${36 - wide * 0.5} 35 33 ${35 - height * 0.6} 38 ${35 - height}`,
          `C38 ${35 - height * 0.5} ${36 + wide * 0.4} 35 ${36 + wide} 35 Z`,
        ].join(" ")}
        fill={tokens.edge}
      />
      <line x1="0" x2="72" y1="36" y2="36" stroke={tokens.inkSoft} strokeWidth="2" />
    </svg>
  );
}

/** Which formula goes where: seen from above, nose up, her left on the left. */
function Served({ plan, mix, lit }: { plan: PlanView; mix: MixView; lit: ReadonlySet<string> }) {
  const of = (key: string) => mix.formulas.findIndex((f) => f.panels.includes(key));
  return (
    <svg className={css.served} viewBox={mapBox} role="img" aria-label="Which formula goes where">
      <path d={`${pathOf(plan.scalpOutline)}Z`} fill={tokens.track} stroke={tokens.edge} strokeWidth="0.15" />
      {plan.panels.map((p) => {
        const at = of(p.key);
        return at < 0
          ? null
          : p.outlines.map((o) => (
              <path
                key={`${p.key} ${o[0]}`}
                d={`${pathOf(o)}Z`}
                fill={lit.has(p.key) ? tokens.accent : formulaFills[at % formulaFills.length]}
                stroke={tokens.surround}
                strokeWidth="0.12"
              />
            ));
      })}
      {mix.formulas.map((f) => {
        const first = plan.panels.find((p) => p.key === f.panels[Math.floor(f.panels.length / 2)]);
        return first ? (
          <text key={f.formula.id} x={-first.grip[0]} y={-first.grip[1] + 0.5} textAnchor="middle">
            {f.formula.id}
          </text>
        ) : null;
      })}
    </svg>
  );
}
