import { Button, Select } from "antd";
import type { PlanEdit, PlanView, Schemas, Zone } from "../../api/client";
import parts from "../../style/parts.module.css";
import { zoneWords } from "../../views/words";
import css from "./WorkingOrder.module.css";

const frames: Record<Schemas["Frame"], string> = {
  quadrants: "four quadrants",
  earToEar: "front from back",
  tiers: "three tiers",
};

interface Props {
  plan: PlanView;
  section: Schemas["SectionView"] | undefined;
  zone: Zone | undefined;
  edit(edit: PlanEdit): Promise<boolean>;
  onPick(zone: Zone): void;
}

const workOf = (z: Schemas["ZoneWork"]) =>
  `${z.panels} · ${z.grams.toFixed(0)} g${z.minutes > 0 ? ` · at ${z.startsAtMinute.toFixed(0)} min` : ""}`;

/** The working order from first to last: when each zone is begun, how many panels, how much hair. */
export function WorkingOrder({ plan, section, zone, edit, onPick }: Props) {
  const order = section?.order ?? [];
  const total = section?.minutes ?? 0;
  const move = (i: number, by: number) => {
    const zones = order.map((z) => z.zone);
    [zones[i], zones[i + by]] = [zones[i + by], zones[i]];
    edit({ kind: "setOrder", zones });
  };
  return (
    <>
      <div className={parts.title}>
        <h2>Working order</h2>
        <span>{total > 0 ? `${total.toFixed(0)} min with mixing` : ""}</span>
      </div>
      <Select
        aria-label="Divided by"
        className={parts.wide}
        value={plan.plan.frame}
        options={(Object.keys(frames) as Schemas["Frame"][]).map((f) => ({ value: f, label: frames[f] }))}
        onChange={(frame) => edit({ kind: "setFrame", frame })}
      />
      <ol className={css.order} aria-label="Working order">
        {order.map((z, i) => (
          <li key={z.zone} className={z.excluded ? css.out : z.zone === zone ? css.now : undefined}>
            <button type="button" className={css.plainrow} onClick={() => onPick(z.zone)}>
              <b>{zoneWords(z.zone)}</b>
              <span>{z.excluded ? "left out" : workOf(z)}</span>
            </button>
            <Button
              size="small"
              type="text"
              aria-label={`${zoneWords(z.zone)} earlier`}
              disabled={i === 0}
              onClick={() => move(i, -1)}
              icon={<span aria-hidden="true">↑</span>}
            />
            <Button
              size="small"
              type="text"
              aria-label={`${zoneWords(z.zone)} later`}
              disabled={i === order.length - 1}
              onClick={() => move(i, 1)}
              icon={<span aria-hidden="true">↓</span>}
            />
          </li>
        ))}
      </ol>
    </>
  );
}
