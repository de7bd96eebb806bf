import { Button, Popover } from "antd";
import { useState } from "react";
import type { PanelPaint, PanelView, PlanEdit, PlanView } from "../../api/client";
import parts from "../../style/parts.module.css";
import { Choice, Line } from "../../views/Choice";
import { Num } from "../../views/Num";
import { NumberField } from "../../views/NumberField";
import { ShapeTile } from "../../views/ShapeTile";
import { coatOf, coatsOf, countOf, hasStrokes, type Shape, shapeName, shapes } from "../../views/shapes";
import { zoneWords } from "../../views/words";
import { FormulaChoice } from "./FormulaChoice";
import css from "./PanelSettings.module.css";

interface Props {
  plan: PlanView;
  panel: PanelView;
  /** All picked panels, the shown one among them. */
  picked: string[];
  coat: number;
  onCoat(coat: number): void;
  edit(edit: PlanEdit): Promise<boolean>;
}

/** What is set for the picked panels. */
export function PanelSettings({ plan, panel, picked, coat, onCoat, edit }: Props) {
  const [copied, setCopied] = useState<PanelPaint>();
  const coats = coatsOf(panel.paint);
  const paint = coatOf(panel.paint, coat);
  const many = picked.length > 1;
  const count = paint && countOf(paint.shape ?? "v");
  return (
    <div className={parts.settings} role="group" aria-label="Panel settings">
      <div className={parts.title}>
        <h2>{many ? `${picked.length} panels` : zoneWords(panel.zone)}</h2>
        <span>
          {many
            ? `with ${panel.words}`
            : `row ${panel.row + 1}, panel ${panel.column + 1} · ${panel.areaCm2.toFixed(1)} cm²`}
        </span>
      </div>
      <div className={`${parts.row} ${css.paintActs}`}>
        <ShapeChoice
          shape={paint?.shape}
          onPick={(shape) =>
            edit({ kind: "setShape", panels: picked, shape, flip: null, coat: paint ? coat : 0 })
          }
        />
        <Button disabled={!panel.paint} onClick={() => edit({ kind: "clearPanels", panels: picked })}>
          Natural
        </Button>
        <Button disabled={!panel.paint} onClick={() => panel.paint && setCopied(panel.paint)}>
          Copy
        </Button>
        {copied && (
          <Button onClick={() => edit({ kind: "paintPanels", panels: picked, paint: copied })}>Paste</Button>
        )}
      </div>
      {paint && (
        <>
          {coats.length > 1 && (
            <div
              className={`${parts.row} ${css.coats}`}
              role="group"
              aria-label="Products in the order they are laid"
            >
              {coats.map((c, i) => (
                <Button
                  key={`${i}${c.formula}`}
                  type={i === coat ? "primary" : "default"}
                  aria-pressed={i === coat}
                  onClick={() => onCoat(i)}
                >
                  {i + 1} · {c.formula}
                </Button>
              ))}

              <Button
                aria-label="Move earlier"
                disabled={coat === 0}
                onClick={async () => {
                  if (await edit({ kind: "swapCoats", panels: picked, coat: coat - 1 })) {
                    onCoat(coat - 1);
                  }
                }}
              >
                ←
              </Button>
              <Button
                aria-label="Remove"
                onClick={async () => {
                  if (await edit({ kind: "takeCoat", panels: picked, coat })) {
                    onCoat(0);
                  }
                }}
              >
                ×
              </Button>
            </div>
          )}
          <Line key={`${panel.key} ${coat}`} name="Start">
            <NumberField
              label="Height, cm from the scalp"
              min={0}
              max={75}
              step={0.5}
              unit="cm"
              value={Number((panel.coats[coat]?.startCm ?? paint.startCm ?? 0).toFixed(1))}
              onSet={(v) => edit({ kind: "setHeights", panels: picked, startCm: v, coat })}
            />
            <NumberField
              label="Height, share of the length"
              min={0}
              max={100}
              step={1}
              unit="%"
              value={Math.round(((panel.coats[coat]?.startCm ?? 0) / panel.lengthCm) * 100)}
              onSet={(v) => edit({ kind: "setHeights", panels: picked, startShare: v / 100, coat })}
            />
          </Line>
          <Line name="Formula" long>
            <FormulaChoice plan={plan} panels={picked} paint={paint} coat={coat} edit={edit} />
            {coats.length < 3 && (
              <Button
                aria-label="Another product"
                title="Another product"
                onClick={async () => {
                  const other = plan.plan.formulas.find((f) => !coats.some((c) => c.formula === f.id));
                  const next: PanelPaint = {
                    ...paint,
                    next: null,
                    formula: other?.id ?? paint.formula,
                    startShare: null,
                    startCm: Math.min(70, (panel.coats[coat]?.startCm ?? 0) + 6),
                  };
                  if (await edit({ kind: "addCoat", panels: picked, paint: next })) {
                    onCoat(coats.length);
                  }
                }}
              >
                +
              </Button>
            )}
          </Line>
          <Choice
            name="Cover"
            value={paint.covering ?? "open"}
            options={[
              ["open", "Open"],
              ["mesh", "Mesh"],
              ["film", "Film"],
              ["foil", "Foil"],
            ]}
            onChange={(covering) => edit({ kind: "setCovering", panels: picked, covering, coat })}
          />
          <Choice
            name="Side"
            label="Side painted"
            value={paint.face ?? "surface"}
            options={[
              ["surface", "Surface"],
              ["underside", "Under"],
              ["both", "Both"],
            ]}
            onChange={(face) => edit({ kind: "setFace", panels: picked, face, coat })}
          />
          {count && (
            <Num
              name={count.name}
              value={paint.strokes ?? 1}
              min={count.least}
              max={count.most}
              step={1}
              onSet={(strokes) => edit({ kind: "setStrokes", panels: picked, strokes, coat })}
            />
          )}
          {hasStrokes(paint.shape ?? "v") && (
            <Num
              name="Stroke width"
              unit="%"
              value={Math.round((paint.strokeShare ?? 0.3) * 100)}
              min={5}
              max={100}
              step={5}
              onSet={(v) => edit({ kind: "setStrokes", panels: picked, strokeShare: v / 100, coat })}
            />
          )}
          <div className={parts.row}>
            <Hand paint={paint} picked={picked} coat={coat} edit={edit} />
            <Button
              onClick={() => edit({ kind: "paintZone", zone: panel.zone, paint: panel.paint as PanelPaint })}
            >
              Zone like this
            </Button>
          </div>
          <p className={parts.facts}>
            Reaches level <strong>{panel.brightestLevel.toFixed(1)}</strong> ± {panel.levelSpread.toFixed(1)},
            mean <strong>{panel.meanLevel.toFixed(1)}</strong>;{" "}
            <strong>{(panel.seenShare * 100).toFixed(1)} %</strong> of the hair seen.
          </p>
        </>
      )}
    </div>
  );
}

/** All shapes, one tap away. */
function ShapeChoice({ shape, onPick }: { shape: Shape | undefined; onPick(shape: Shape): void }) {
  const [open, setOpen] = useState(false);
  const now = shapes.find((s) => s.shape === shape);
  return (
    <Popover
      trigger="click"
      open={open}
      onOpenChange={setOpen}
      destroyOnHidden
      content={
        <div className={parts.shapeGrid} role="radiogroup" aria-label="Shape">
          {shapes.map((s, i) => (
            <button
              key={s.shape}
              type="button"
              // biome-ignore lint/a11y/noAutofocus: what was opened to choose from takes the keys
              autoFocus={shape ? shape === s.shape : i === 0}
              role="radio"
              aria-checked={shape === s.shape}
              className={parts.tile}
              onClick={() => {
                setOpen(false);
                onPick(s.shape);
              }}
            >
              <ShapeTile d={s.d} />
              {s.name}
            </button>
          ))}
        </div>
      }
    >
      <Button className={css.shapeNow} aria-label={`Shape: ${shapeName(shape)}`}>
        <ShapeTile d={now?.d} />
        {shapeName(shape)}
      </Button>
    </Popover>
  );
}

const handWords = (p: PanelPaint) =>
  [
    p.tension === "slack" ? "slack" : "taut",
    p.pressure === "light" ? "light" : p.pressure === "firm" ? "firm" : null,
    p.teasing === "light" ? "teased" : p.teasing === "strong" ? "well teased" : null,
    p.liesOn === "film" ? "on film" : p.liesOn === "board" ? "on a board" : null,
  ]
    .filter(Boolean)
    .join(", ");

/** How it is held, pressed and teased, and what it lies on. */
function Hand({
  paint,
  picked,
  coat,
  edit,
}: {
  paint: PanelPaint;
  picked: string[];
  coat: number;
  edit(edit: PlanEdit): Promise<boolean>;
}) {
  const set = (change: object) => edit({ kind: "setHandling", panels: picked, coat, ...change } as PlanEdit);
  return (
    <Popover
      trigger="click"
      content={
        <div className={parts.settings} role="group" aria-label="How it is held">
          <Choice
            name="Held"
            value={paint.tension ?? "taut"}
            options={[
              ["taut", "Taut"],
              ["slack", "Slack"],
            ]}
            onChange={(tension) => set({ tension })}
          />
          <Choice
            name="Pressed"
            value={paint.pressure ?? "normal"}
            options={[
              ["light", "Light"],
              ["normal", "Normal"],
              ["firm", "Firm"],
            ]}
            onChange={(pressure) => set({ pressure })}
          />
          <Choice
            name="Teased"
            value={paint.teasing ?? "none"}
            options={[
              ["none", "No"],
              ["light", "Lightly"],
              ["strong", "Well"],
            ]}
            onChange={(teasing) => set({ teasing })}
          />
          <Choice
            name="Lies on"
            value={paint.liesOn ?? "nothing"}
            options={[
              ["nothing", "Nothing"],
              ["film", "Film"],
              ["board", "Board"],
            ]}
            onChange={(liesOn) => set({ liesOn })}
          />
          <p className={parts.why}>
            A sheet beneath keeps skin and the hair below clean; what covers it is another thing. Slack hair
            and firm strokes carry product further; teasing softens the upper edge and holds short strands
            back.
          </p>
        </div>
      }
    >
      <Button>Technique: {handWords(paint)}</Button>
    </Popover>
  );
}
