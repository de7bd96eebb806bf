import { useMutation } from "@tanstack/react-query";
import { Button, Input, Modal, Select } from "antd";
import { useState } from "react";
import { api, type Schemas } from "../../api/client";
import { fieldsOf, given } from "../../api/given";
import parts from "../../style/parts.module.css";
import { asWords, Line, Pick, Whether } from "../../views/Choice";
import { Num } from "../../views/Num";
import { coverings, lighteners, reflects } from "../../views/words";
import css from "./ProductSheet.module.css";
import type { Product, StoredProduct } from "./useShelf";

interface Props {
  stored: Partial<StoredProduct> & { product: Product };
  onDone(): void;
  onLeave(): void;
}

type Said = Schemas["Sourced"];

/** What is noted of one product; what can't be taken is said beside its field, and nothing is lost. */
export function ProductSheet({ stored, onDone, onLeave }: Props) {
  const [draft, setDraft] = useState<Product>(stored.product);
  const by = (change: object) => setDraft({ ...draft, ...change } as Product);
  const stock = (change: Partial<Schemas["Stock"]>) => by({ stock: { ...draft.stock, ...change } });
  const keep = useMutation({
    meta: { fields: true },
    mutationFn: () =>
      given(
        stored.id
          ? api.PUT("/api/shelf/{id}", {
              params: { path: { id: stored.id } },
              body: { baseVersion: stored.version ?? 0, product: draft },
            })
          : api.POST("/api/shelf", { body: { baseVersion: 0, product: draft } }),
      ),
    onSuccess: onDone,
  });
  const off = useMutation({
    mutationFn: () => given(api.DELETE("/api/shelf/{id}", { params: { path: { id: stored.id ?? "" } } })),
    onSuccess: onDone,
  });
  const errors = fieldsOf(keep.error);
  const error = (field: string) => errors[`product.${field}`];

  const num = (name: string, field: string, unit: string, [min, max, step]: number[]) => (
    <Num
      draft
      name={name}
      unit={unit}
      min={min}
      max={max}
      step={step}
      value={(draft as unknown as Record<string, number | null>)[field] ?? null}
      error={error(field)}
      onSet={(v) => by({ [field]: v })}
    />
  );
  const said = (name: string, field: string, unit: string, [min, max, step]: number[]) => {
    const value = (draft as unknown as Record<string, Said>)[field];
    return (
      <div className={css.said}>
        <Num
          draft
          name={name}
          unit={unit}
          min={min}
          max={max}
          step={step}
          value={value.value}
          error={error(field)}
          onSet={(v) => by({ [field]: { ...value, value: v } })}
        />
        <Select
          aria-label={`${name} comes from`}
          value={value.source}
          options={[
            { value: "leaflet", label: "leaflet" },
            { value: "trade", label: "trade" },
            { value: "assumption", label: "our assumption" },
          ]}
          onChange={(source) => by({ [field]: { ...value, source } })}
        />
      </div>
    );
  };
  const pick = (name: string, field: string, words: string[]) => (
    <Pick
      name={name}
      value={(draft as unknown as Record<string, string>)[field]}
      options={asWords(words)}
      onChange={(v) => by({ [field]: v })}
    />
  );
  const whether = (name: string, field: string) => (
    <Whether
      name={name}
      value={(draft as unknown as Record<string, boolean>)[field]}
      onChange={(v) => by({ [field]: v })}
    />
  );
  const counted = (name: string, field: "onHand" | "lowAt" | "price", shown: string, placeholder: string) => (
    <Num
      draft
      name={name}
      unit={shown}
      min={0}
      max={field === "price" ? 10_000 : 1_000_000}
      step={field === "price" ? 0.01 : 10}
      value={draft.stock[field] ?? null}
      placeholder={placeholder}
      error={error(`stock.${field}`)}
      onSet={(v) => stock({ [field]: v })}
      onEmpty={() => stock({ [field]: null })}
    />
  );
  const unit = { gram: "g", millilitre: "ml", sheet: "sheets" }[draft.stock.unit ?? "gram"];

  return (
    <Modal
      open
      width={560}
      title={stored.id ? stored.product.name : "New product"}
      onCancel={onLeave}
      footer={
        <div className={parts.row}>
          <Button type="primary" onClick={() => keep.mutate()}>
            Keep
          </Button>
          <Button onClick={onLeave}>Leave</Button>
          {stored.id && (
            <Button danger type="text" onClick={() => off.mutate()}>
              Off the shelf
            </Button>
          )}
        </div>
      }
    >
      <div className={`${parts.sheet} ${parts.wide}`}>
        <Line name="Name">
          <Input
            aria-label="Name"
            maxLength={60}
            value={draft.name}
            status={error("name") ? "error" : undefined}
            onChange={(e) => by({ name: e.target.value })}
          />
        </Line>
        {error("name") && <small role="alert">{error("name")}</small>}
        {draft.kind === "lightener" && (
          <>
            {pick("Made of", "type", lighteners)}
            {said("Lifts at most, levels", "ratedLevels", "", [1, 10, 0.5])}
            {said("Film dries in", "dryingMinutes", "min", [2, 200, 1])}
            {said("Works in", "workingMinutes", "min", [4, 100, 1])}
            {said("On the hair at most", "limitMinutes", "min", [5, 120, 5])}
            {said("Usable for", "windowMinutes", "min", [1, 120, 1])}
            {whether("Swells", "swells")}
            {whether("Its leaflet allows the scalp", "scalpSafe")}
            {whether("Its leaflet allows heat", "heatAllowed")}
            <Line name="Usual ratios (developer to 1)">
              <Input
                aria-label="Usual ratios (developer to 1)"
                defaultValue={draft.ratios.join("; ")}
                status={error("ratios") ? "error" : undefined}
                onChange={(e) =>
                  by({
                    ratios: e.target.value
                      .split(/[;\s]+/)
                      .filter(Boolean)
                      .map(Number),
                  })
                }
              />
            </Line>
            {error("ratios") && <small role="alert">{error("ratios")}</small>}
            {num("A scoop holds", "scoopGrams", "g", [0.1, 200, 0.5])}
          </>
        )}
        {draft.kind === "developer" && num("Strength", "volume", "vol", [5, 40, 1])}
        {draft.kind === "shade" && (
          <>
            {num("Depth", "depth", "level", [1, 10, 1])}
            {pick("Reflect", "reflect", reflects)}
            {pick("Kind", "base", ["acidGloss", "demi", "permanent"])}
            {num("Ratio", "developerParts", "parts", [0.1, 10, 0.1])}
            {num("Developer", "developerVolume", "vol", [5, 40, 1])}
            {num("On the hair", "minutes", "min", [1, 120, 5])}
          </>
        )}
        {draft.kind === "additive" && (
          <>
            {num("Dose, to a gram of lightener", "gramsPerGram", "", [0.001, 1, 0.01])}
            {num("In open air", "openAirGramsPerGram", "", [0.001, 1, 0.01])}
            {said("Slows lift by", "slows", "", [0, 0.1, 0.01])}
          </>
        )}
        {draft.kind === "covering" && (
          <>
            {pick(
              "What it is",
              "covering",
              coverings.filter((c) => c !== "open"),
            )}
            {num("Length of a sheet", "sheetCm", "cm", [5, 100, 1])}
          </>
        )}
        <h2>Stock</h2>
        {counted("On hand", "onHand", unit, "not counted")}
        {counted("Low at", "lowAt", unit, "no mark")}
        {counted(`Price of a ${draft.stock.unit ?? "gram"}`, "price", "", "not noted")}
        <Line name="Lot">
          <Input
            aria-label="Lot"
            maxLength={40}
            value={draft.stock.lot ?? ""}
            onChange={(e) => stock({ lot: e.target.value || null })}
          />
        </Line>
        <Line name="Opened on">
          <Input
            aria-label="Opened on"
            type="date"
            value={draft.stock.openedOn ?? ""}
            onChange={(e) => stock({ openedOn: e.target.value || null })}
          />
        </Line>
      </div>
    </Modal>
  );
}
