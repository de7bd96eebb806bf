import { Button, Input, Select } from "antd";
import { useEffect, useState } from "react";
import type { Schemas, Zone } from "../../api/client";
import parts from "../../style/parts.module.css";
import { Line, Pick } from "../../views/Choice";
import { Num } from "../../views/Num";
import { NumberField } from "../../views/NumberField";
import { allZones, zoneWords } from "../../views/words";
import css from "./Tone.module.css";
import type { ToneArea, ToneAreaView, ToneView, Toning } from "./useTone";
import { WeighToner } from "./WeighToner";

type Shade = Schemas["Shade"];

const takesWords = [
  ["all", "all hair"],
  ["lightened", "lightened pieces"],
  ["between", "what lies between"],
  ["odd", "every other section"],
  ["even", "the sections between"],
] as const;

const tones = [
  ["wish", "as wished"],
  ["-1", "cool"],
  ["-0.5", "cooler"],
  ["0", "neutral"],
  ["0.5", "warmer"],
  ["1", "warm"],
] as const;

interface Props {
  toning: Toning;
  tone: ToneView;
  area: ToneAreaView;
}

/** What an area is: where, with what, how long; each change is kept at once. */
export function AreaSettings({ toning, tone, area: view }: Props) {
  const { area, ingredients, missing, onAt } = view;
  const { plan } = tone;
  const at = plan.areas.findIndex((a) => a.id === area.id);
  const set = (change: Partial<ToneArea>) => toning.change(area.id, change);
  const move = (by: number) =>
    toning.plan((now) => {
      const areas = [...now.areas];
      const from = areas.findIndex((a) => a.id === area.id);
      areas.splice(from + by, 0, ...areas.splice(from, 1));
      return { ...now, areas };
    });
  const { along } = area;
  const unit = along.inShares ? "%" : "cm";
  const scale = along.inShares ? 100 : 1;
  const most = along.inShares ? 100 : 75;
  const fixed = onAt != null;
  return (
    <div className={css.settings} role="group" aria-label={`Settings of ${area.name}`}>
      {!fixed && (
        <>
          <Named value={area.name} onSet={(name) => set({ name })} />
          <Shades tone={tone} area={area} set={set} />
          <Num
            name="From the scalp"
            unit={unit}
            min={0}
            max={most}
            step={along.inShares ? 5 : 0.5}
            value={along.from * scale}
            onSet={(v) => set({ along: { ...along, from: v / scale } })}
          />
          <Num
            name="To"
            unit={unit}
            min={along.from * scale + 1}
            max={most}
            step={along.inShares ? 5 : 0.5}
            value={along.to == null ? most : along.to * scale}
            onSet={(v) => set({ along: { ...along, to: v >= most ? null : v / scale } })}
          />
          <Num
            name="Drawn into the next over"
            unit="cm"
            min={0.5}
            max={12}
            step={0.5}
            value={along.edgeCm}
            onSet={(edgeCm) => set({ along: { ...along, edgeCm } })}
          />
          <Pick
            name="Hair"
            value={area.takes ?? "all"}
            options={takesWords}
            onChange={(takes) => set({ takes })}
          />
          <Select<Zone[]>
            mode="multiple"
            aria-label={`Zones of ${area.name}`}
            placeholder="all zones that are worked"
            style={{ width: "100%" }}
            value={area.zones ?? []}
            options={allZones.map((z) => ({ value: z, label: zoneWords(z) }))}
            onChange={(zones) => set({ zones: zones.length > 0 ? zones : null })}
          />
          <Pick
            name="Hair is"
            value={area.dryness ?? "damp"}
            options={[
              ["soaked", "soaked"],
              ["damp", "damp"],
              ["dry", "dry"],
            ]}
            onChange={(dryness) => set({ dryness })}
          />
        </>
      )}
      <Num
        name="Minutes"
        unit="min"
        min={1}
        max={60}
        step={1}
        value={area.minutes}
        onSet={(minutes) => set({ minutes })}
      />
      <Pick
        name="Wanted"
        value={
          area.wanted
            ? (tones.find(([t]) => t !== "wish" && Number(t) === area.wanted?.tone)?.[0] ?? "0")
            : "wish"
        }
        options={tones}
        onChange={(t) =>
          set({ wanted: t === "wish" ? null : { tone: Number(t), level: area.wanted?.level ?? null } })
        }
      />
      <p className={parts.soft}>
        {ingredients.map((i) => `${i.words} ${i.grams.toFixed(1)} g`).join(" + ")}
        {missing && ` ${missing}`}
      </p>
      {!fixed && !missing && <WeighToner toning={toning} tone={tone} area={view} />}
      {!fixed && (
        <div className={parts.row}>
          <Button disabled={at === 0} onClick={() => move(-1)}>
            Earlier
          </Button>
          <Button disabled={at === plan.areas.length - 1} onClick={() => move(1)}>
            Later
          </Button>
          <Button
            danger
            onClick={() =>
              toning.plan((now) => ({ ...now, areas: now.areas.filter((a) => a.id !== area.id) }))
            }
          >
            Remove
          </Button>
        </div>
      )}
    </div>
  );
}

/** A name that is kept when it is left. */
function Named({ value, onSet }: { value: string; onSet(name: string): void }) {
  const [draft, setDraft] = useState(value);
  useEffect(() => setDraft(value), [value]);
  const keep = () => (draft.trim() && draft.trim() !== value ? onSet(draft.trim()) : setDraft(value));
  return (
    <Line name="Called">
      <Input
        aria-label="Called"
        maxLength={30}
        value={draft}
        onChange={(e) => setDraft(e.target.value)}
        onBlur={keep}
        onPressEnter={keep}
      />
    </Line>
  );
}

/** Shades from the shelf in parts. */
function Shades({
  tone,
  area,
  set,
}: {
  tone: ToneView;
  area: ToneArea;
  set(change: Partial<ToneArea>): void;
}) {
  const { bowl } = area;
  const { shades } = bowl.shades;
  const keep = (next: Shade[], more: Partial<typeof bowl> = {}) =>
    set({ bowl: { ...bowl, ...more, shades: { ...bowl.shades, shades: next } } });
  const shelf = tone.shelf.map((of) => ({ ...of, shade: of.shades.shades[0] }));
  const isFree = (name: string) => shades.every((s) => s.name !== name);
  const pick = (n: number, name: string) => {
    const of = shelf.find((p) => p.shade.name === name);
    if (!of) {
      return;
    }
    const next = shades.map((s, i) => (i === n ? { ...of.shade, parts: s.parts } : s));
    // What the first shade is based on, and mixed with, is the bowl's.
    const { base, volume, developerParts } = of;
    keep(next, n === 0 ? { base, volume, developerParts } : {});
  };
  const unused = shelf.find((p) => isFree(p.shade.name));
  return (
    <div className={css.shades} role="group" aria-label="Shades">
      {shades.map((s, n) => (
        <div key={s.name} className={css.shade}>
          <NumberField
            label={`Parts of ${s.name}`}
            min={0.1}
            max={100}
            step={1}
            value={s.parts}
            onSet={(v) => keep(shades.map((x, i) => (i === n ? { ...x, parts: v } : x)))}
          />
          <Select
            aria-label={`Shade ${n + 1}`}
            value={s.name}
            style={{ minWidth: 0 }}
            options={shelf
              .map((p) => p.shade.name)
              .filter((name) => name === s.name || isFree(name))
              .map((name) => ({ value: name, label: name }))}
            onChange={(name) => pick(n, name)}
          />
          {shades.length > 1 && (
            <Button
              aria-label={`Leave ${s.name} away`}
              onClick={() => keep(shades.filter((_, i) => i !== n))}
            >
              −
            </Button>
          )}
        </div>
      ))}
      {shades.length < 3 && unused && (
        <Button onClick={() => keep([...shades, unused.shade])}>Add a shade</Button>
      )}
    </div>
  );
}
