import { Button, Popover, Select } from "antd";
import { useState } from "react";
import type { Schemas, Zone } from "../../api/client";
import parts from "../../style/parts.module.css";
import { Line } from "../../views/Choice";
import { Num } from "../../views/Num";
import { allZones, zoneWords } from "../../views/words";
import type { Consult } from "./useConsult";

type ZoneHair = Schemas["ZoneHair"];

const nothing: ZoneHair = {
  naturalLevel: null,
  diameter: null,
  density: null,
  porosity: null,
  greyShare: null,
};

/** Where a zone's hair differs from the rest: finer at the hairline, darker at the nape. */
export function ZoneDiffers({ consult }: { consult: Consult }) {
  const { hair } = consult.view;
  const told = (hair.byZone ?? {}) as Record<string, ZoneHair>;
  const [zone, setZone] = useState<Zone>("nape");
  const here = told[zone] ?? nothing;
  const set = (change: Partial<ZoneHair>) => {
    const next: ZoneHair = { ...here, ...change };
    const rest = Object.fromEntries(Object.entries(told).filter(([z]) => z !== zone));
    const differs = Object.values(next).some((v) => v !== null && v !== undefined);
    const all = differs ? { ...rest, [zone]: next } : rest;
    consult.setHair({ byZone: Object.keys(all).length > 0 ? all : null });
  };
  const choice = <K extends "diameter" | "density" | "porosity">(
    label: string,
    field: K,
    words: string[],
  ) => (
    <div className={parts.set}>
      <span>{label}</span>
      <Select
        aria-label={`${label} there`}
        allowClear
        placeholder="as the rest"
        value={here[field] ?? undefined}
        options={words.map((w) => ({ value: w, label: w }))}
        onChange={(v) => set({ [field]: v ?? null } as Partial<ZoneHair>)}
      />
    </div>
  );
  return (
    <Line name="Differs by zone">
      <Popover
        trigger="click"
        content={
          <div className={parts.formula} role="group" aria-label="Differs by zone">
            <Select
              aria-label="Zone that differs"
              value={zone}
              options={allZones.map((z) => ({ value: z, label: `${zoneWords(z)}${told[z] ? " •" : ""}` }))}
              onChange={setZone}
            />
            <Num
              name="Natural level there"
              min={1}
              max={10}
              step={0.5}
              value={here.naturalLevel ?? null}
              placeholder="as the rest"
              error={consult.errors[`byZone.${zone}.naturalLevel`]}
              onSet={(naturalLevel) => set({ naturalLevel })}
              onEmpty={() => set({ naturalLevel: null })}
            />
            <Num
              name="Grey there"
              unit="%"
              min={0}
              max={100}
              step={5}
              value={
                here.greyShare === null || here.greyShare === undefined
                  ? null
                  : Math.round(here.greyShare * 100)
              }
              placeholder="as the rest"
              onSet={(v) => set({ greyShare: v / 100 })}
              onEmpty={() => set({ greyShare: null })}
            />
            {choice("Strand", "diameter", ["fine", "medium", "coarse"])}
            {choice("Density", "density", ["low", "medium", "high"])}
            {choice("Porosity", "porosity", ["low", "normal", "high"])}
          </div>
        }
      >
        <Button>
          {Object.keys(told).length === 0
            ? "nowhere"
            : Object.keys(told)
                .map((z) => zoneWords(z as Zone).toLowerCase())
                .join(", ")}
        </Button>
      </Popover>
    </Line>
  );
}
