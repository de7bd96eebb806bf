import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Alert, App, Button, Dropdown, Spin } from "antd";
import { useEffect, useState } from "react";
import { api, type Schemas } from "../../api/client";
import { given } from "../../api/given";
import { MainNav } from "../../shell/MainNav";
import parts from "../../style/parts.module.css";
import { quantity, type Units, useUnits } from "../../views/units";
import { cm } from "../../views/words";
import { ProductSheet } from "./ProductSheet";
import { fresh, type Kind, kinds } from "./products";
import css from "./Shelf.module.css";
import { ShelfFile } from "./ShelfFile";
import { type Product, type StoredProduct, useShelf } from "./useShelf";

/** What the studio owns: what each product does, how much of it there is, what it costs. */
export function Shelf() {
  const { data, error, isPending } = useShelf();
  const { message } = App.useApp();
  const cache = useQueryClient();
  const [open, setOpen] = useState<Partial<StoredProduct> & { product: Product }>();
  useEffect(() => {
    document.title = "Shelf · Wendro";
  }, []);
  const again = () => cache.invalidateQueries({ queryKey: ["shelf"] });
  const addGeneric = useMutation({
    mutationFn: async () => {
      const generic = await given(api.GET("/api/shelf/generic"));
      const there = new Set((data ?? []).map((p) => p.product.name.toLowerCase()));
      const missing = generic.filter((p) => !there.has(p.name.toLowerCase()));
      for (const product of missing) {
        await given(api.POST("/api/shelf", { body: { product, baseVersion: 0 } }));
      }
      return missing.length;
    },
    onSuccess: (added) =>
      message.success(
        added === 0 ? "They are all there." : `${added} entries added. Correct them by the leaflet.`,
      ),
    onSettled: again,
  });
  return (
    <main className={parts.day}>
      <header>
        <div>
          <h1>Shelf</h1>
          <p>{data ? `${data.length} ${data.length === 1 ? "product" : "products"}` : " "}</p>
        </div>
        <MainNav />
      </header>
      <div className={`${parts.row} ${css.hands}`}>
        <Dropdown
          trigger={["click"]}
          menu={{
            items: kinds.map(([key, label]) => ({ key, label })),
            onClick: ({ key }) => setOpen({ product: fresh(key as Kind) }),
          }}
        >
          <Button type="primary">New product…</Button>
        </Dropdown>
        <Button loading={addGeneric.isPending} onClick={() => addGeneric.mutate()}>
          Add generic entries
        </Button>
        <ShelfFile onTaken={again} />
        <a className={parts.place} href="/api/shelf/file" download="shelf.csv">
          Save as CSV
        </a>
      </div>
      {isPending && <Spin size="large" />}
      {error && <Alert type="error" title="The shelf can't be shown" description={error.message} />}
      {data?.length === 0 && (
        <p className={parts.calm}>
          Nothing is on the shelf. Begin with generic entries and correct them by their leaflets.
        </p>
      )}
      {kinds.map(([kind, , many]) => {
        const rows = (data ?? []).filter((p) => p.product.kind === kind);
        return rows.length === 0 ? null : (
          <section key={kind} aria-label={many}>
            <h2>{many}</h2>
            <ul className={css.products}>
              {rows.map((p) => (
                <li key={p.id}>
                  <Row stored={p} onOpen={() => setOpen(p)} />
                </li>
              ))}
            </ul>
          </section>
        );
      })}
      {open && (
        <ProductSheet
          key={open.id ?? "new"}
          stored={open}
          onDone={() => {
            setOpen(undefined);
            again();
          }}
          onLeave={() => setOpen(undefined)}
        />
      )}
    </main>
  );
}

const units: Record<Schemas["StockUnit"], string> = { gram: "g", millilitre: "ml", sheet: "sheets" };

function Row({ stored, onOpen }: { stored: StoredProduct; onOpen(): void }) {
  const shown = useUnits();
  const { product } = stored;
  const { stock } = product;
  return (
    <button type="button" className={css.product} onClick={onOpen}>
      <b>{product.name}</b>
      <span>{does(product)}</span>
      <span className={stored.isLow ? css.low : undefined}>
        {stock.onHand == null
          ? "not counted"
          : `${quantity(stock.onHand, units[stock.unit ?? "gram"], shown, 0)}${stored.isLow ? ", low" : ""}`}
      </span>
      <span className={parts.soft}>
        {stock.price == null ? "no price" : priced(stock.price, stock.unit ?? "gram", shown)}
      </span>
      <span className={parts.soft}>{stock.lot ? `lot ${stock.lot}` : ""}</span>
    </button>
  );
}

const priced = (price: number, unit: Schemas["StockUnit"], shown: Units) =>
  shown === "us" && unit === "gram"
    ? `${(price * 28.349523125).toFixed(2)} an oz`
    : shown === "us" && unit === "millilitre"
      ? `${(price * 29.5735295625).toFixed(2)} a fl oz`
      : `${price} a ${unit === "gram" ? "g" : unit === "millilitre" ? "ml" : "sheet"}`;

function does(p: Product): string {
  switch (p.kind) {
    case "lightener":
      return [
        p.type,
        `${p.ratedLevels.value} levels`,
        p.heatAllowed ? "heat allowed" : "no heat",
        `${p.limitMinutes.value} min at most`,
        `bowl usable for ${p.windowMinutes.value} min`,
      ].join(", ");
    case "developer":
      return `${p.volume} vol, ${Math.round(p.volume * 3) / 10} %`;
    case "shade":
      return `level ${p.depth} ${p.reflect}, 1 : ${p.developerParts} with ${p.developerVolume} vol, ${p.minutes} min`;
    case "additive":
      return [
        `${p.gramsPerGram} g per g of lightener`,
        `${p.openAirGramsPerGram} in open air`,
        `slows by ${Math.round(p.slows.value * 100)} %`,
      ].join(", ");
    case "covering":
      return `${p.covering}, sheets of ${cm(p.sheetCm)}`;
    default:
      return "";
  }
}
