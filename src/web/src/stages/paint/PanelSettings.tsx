import { Button, Dropdown, InputNumber, Popover, Segmented } from "antd";
import { useState } from "react";
import type { PanelPaint, PanelView, PlanEdit, PlanView, Schemas } from "../../api/client";
import { lightenerWords, zoneWords } from "../../views/words";

interface Props {
  plan: PlanView;
  panel: PanelView;
  edit(edit: PlanEdit): Promise<boolean>;
}

const shapes = [
  { shape: "v", name: "V", d: "M2 3 L14 20 L26 3 V32 H2Z" },
  { shape: "slant", name: "Slant", d: "M2 4 L26 20 V32 H2Z" },
  { shape: "full", name: "Full", d: "M2 6 H26 V32 H2Z" },
] as const;

/** What is set for the picked panel. */
export function PanelSettings({ plan, panel, edit }: Props) {
  const paint = panel.paint;
  const one = [panel.key];
  const zone = zoneWords(panel.zone);
  const whole = (p: PanelPaint): PlanEdit => ({ kind: "paintZone", zone: panel.zone, paint: p });
  const left = panel.zone.endsWith("Left");
  const right = panel.zone.endsWith("Right");
  return (
    <div className="settings" role="group" aria-label="Panel settings">
      <div className="title">
        <h2>{zone}</h2>
        <span>
          row {panel.row + 1}, panel {panel.column + 1} · {panel.areaCm2.toFixed(1)} cm²
        </span>
      </div>
      <div className="row shapes" role="radiogroup" aria-label="Shape">
        {shapes.map((s) => (
          <button
            key={s.shape}
            type="button"
            role="radio"
            aria-checked={paint?.shape === s.shape}
            className="tile"
            onClick={() => edit({ kind: "setShape", panels: one, shape: s.shape, flip: null })}
          >
            <svg width="28" height="34" viewBox="0 0 28 34" aria-hidden="true">
              <rect x="2" y="1" width="24" height="31" rx="2" fill="#4f392f" />
              <path d={s.d} fill="#af8a65" />
            </svg>
            {s.name}
          </button>
        ))}
        <button
          type="button"
          role="radio"
          aria-checked={!paint}
          className="tile"
          onClick={() => paint && edit({ kind: "clearPanels", panels: one })}
        >
          <svg width="28" height="34" viewBox="0 0 28 34" aria-hidden="true">
            <rect x="2" y="1" width="24" height="31" rx="2" fill="#4f392f" />
          </svg>
          Natural
        </button>
      </div>
      {paint && (
        <>
          <Line name="Cover">
            <Segmented
              aria-label="Cover"
              value={paint.covering ?? "open"}
              options={[
                { value: "open", label: "Open" },
                { value: "mesh", label: "Mesh" },
                { value: "film", label: "Film" },
                { value: "foil", label: "Foil" },
              ]}
              onChange={(v) => edit({ kind: "setCovering", panels: one, covering: v as Schemas["Covering"] })}
            />
          </Line>
          <Line name="Side">
            <Segmented
              aria-label="Side painted"
              value={paint.face ?? "surface"}
              options={[
                { value: "surface", label: "Surface" },
                { value: "underside", label: "Under" },
                { value: "both", label: "Both" },
              ]}
              onChange={(v) => edit({ kind: "setFace", panels: one, face: v as Schemas["Face"] })}
            />
          </Line>
          <Line name="Formula">
            <FormulaChoice plan={plan} panel={panel} edit={edit} />
          </Line>
          <p className="facts">
            Reaches level <strong>{panel.brightestLevel.toFixed(1)}</strong> ± {panel.levelSpread.toFixed(1)},
            mean <strong>{panel.meanLevel.toFixed(1)}</strong>. Worn down it is{" "}
            <strong>{(panel.seenShare * 100).toFixed(1)} %</strong> of the hair seen.
          </p>
          <div className="row">
            <Button onClick={() => edit(whole({ ...paint, startShare: null }))}>Zone like this</Button>
            <Dropdown
              trigger={["click"]}
              menu={{
                items: [
                  { key: "spread", label: `Spread heights 1.5 cm, ${zone.toLowerCase()}` },
                  { key: "rows", label: `Alternate rows 5 / 9 cm, ${zone.toLowerCase()}` },
                  ...(right ? [] : [{ key: "mirrorLeft", label: "Mirror her left to her right" }]),
                  ...(left ? [] : [{ key: "mirrorRight", label: "Mirror her right to her left" }]),
                  { key: "bare", label: `Leave ${zone.toLowerCase()} natural` },
                ],
                onClick: ({ key }) => {
                  const paintedHere = plan.panels
                    .filter((p) => p.zone === panel.zone && p.paint)
                    .map((p) => p.key);
                  if (key === "spread") {
                    edit({ kind: "spreadHeights", panels: paintedHere, spreadCm: 1.5 });
                  } else if (key === "rows") {
                    edit({ kind: "alternateRows", zone: panel.zone, highCm: 5, lowCm: 9 });
                  } else if (key === "bare") {
                    edit({ kind: "clearPanels", panels: paintedHere });
                  } else {
                    edit({ kind: "mirrorSide", from: key === "mirrorLeft" ? "left" : "right" });
                  }
                },
              }}
            >
              <Button>More…</Button>
            </Dropdown>
          </div>
        </>
      )}
    </div>
  );
}

function Line({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div className="set">
      <span>{name}</span>
      <div>{children}</div>
    </div>
  );
}

/** Which formula the panel takes, and what is in it. */
function FormulaChoice({ plan, panel, edit }: Props) {
  const formulas = plan.plan.formulas;
  const mine = formulas.find((f) => f.id === panel.paint?.formula) ?? formulas[0];
  const [draft, setDraft] = useState(mine);
  const [open, setOpen] = useState(false);
  const free = ["A", "B", "C", "D", "E"].find((id) => !formulas.some((f) => f.id === id));
  return (
    <Popover
      trigger="click"
      open={open}
      onOpenChange={(o) => {
        setOpen(o);
        setDraft(mine);
      }}
      content={
        <div className="formula" role="group" aria-label="Formula">
          <div className="row">
            {formulas.map((f) => (
              <Button
                key={f.id}
                type={f.id === draft.id ? "primary" : "default"}
                onClick={() => {
                  setDraft(f);
                  edit({ kind: "useFormula", panels: [panel.key], formula: f.id });
                }}
              >
                {f.id}
              </Button>
            ))}
            {free && (
              <Button
                onClick={async () => {
                  const made = { ...draft, id: free };
                  if (await edit({ kind: "setFormula", formula: made })) {
                    setDraft(made);
                    await edit({ kind: "useFormula", panels: [panel.key], formula: free });
                  }
                }}
              >
                + {free}
              </Button>
            )}
          </div>
          <Segmented
            aria-label="Lightener"
            value={draft.lightener}
            options={[
              { value: "clay", label: "Clay" },
              { value: "powder", label: "Powder" },
              { value: "cream", label: "Cream" },
              { value: "half", label: "Half" },
            ]}
            onChange={(v) => setDraft({ ...draft, lightener: v as Schemas["Lightener"] })}
          />
          <div className="row">
            <InputNumber
              aria-label="Developer, volume"
              min={5}
              max={40}
              step={5}
              suffix="vol"
              value={draft.volume}
              onChange={(v) => setDraft({ ...draft, volume: v ?? draft.volume })}
            />
            <InputNumber
              aria-label="Minutes"
              min={1}
              max={120}
              step={5}
              suffix="min"
              value={draft.minutes}
              onChange={(v) => setDraft({ ...draft, minutes: v ?? draft.minutes })}
            />
          </div>
          <p className="why">The leaflet of the product comes first. Over 20 vol stays off the scalp.</p>
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
      <Button>
        {mine.id} · {lightenerWords(mine.lightener)}, {mine.volume} vol
      </Button>
    </Popover>
  );
}
