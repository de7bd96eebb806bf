import { Button, Input, Popover, Segmented, Select } from "antd";
import { useState } from "react";
import type { PlanEdit, PlanView, Schemas } from "../../api/client";
import parts from "../../style/parts.module.css";
import { Num } from "../../views/Num";
import { allZones, cm, zoneWords } from "../../views/words";
import css from "./Divide.module.css";
import { Patterns } from "./Patterns";

type Region = Schemas["Region"];

const regions: Record<Region, { words: string; size: string; usual: number }> = {
  veil: { words: "veil at the part", size: "Each side of the part", usual: 1 },
  oval: { words: "oval on top", size: "Half its width", usual: 4 },
  teardrop: { words: "teardrop on top", size: "Half its width", usual: 3.5 },
  babyHair: { words: "baby hair", size: "From the hairline", usual: 0.5 },
};

const reaches = { full: "all", half: "half", hairline: "hairline" } as const;

interface Props {
  visit: string;
  plan: PlanView;
  section: Schemas["SectionView"] | undefined;
  edit(edit: PlanEdit): Promise<boolean>;
}

/** What to mind while dividing: how much of the head, what is left out and why, hidden work, the heavier side. */
export function Divide({ visit, plan, section, edit }: Props) {
  const out = allZones.filter((z) => plan.plan.zones[z]?.excluded);
  const byReach = out.filter((z) => plan.plan.zones[z].excludedBy === "reach");
  const hidden = section?.order.filter((z) => z.hiddenMinutes >= 0.5) ?? [];
  const heavier = section?.heavier;
  const marks = (plan.hair.marked ?? []).filter((m) => m.kind === "undercut" || m.kind === "breakage");
  const byName = out.filter((z) => !byReach.includes(z));
  const sides =
    heavier &&
    `${Math.round(heavier.leftGrams)} g left of the part, ${Math.round(heavier.rightGrams)} g right`;
  return (
    <div className={css.divide}>
      <Patterns visit={visit} plan={plan} edit={edit} />
      <h2>How much of the head</h2>
      <Segmented
        block
        aria-label="How much of the head"
        value={section?.reach ?? undefined}
        options={(Object.keys(reaches) as (keyof typeof reaches)[]).map((r) => ({
          value: r,
          label: reaches[r],
        }))}
        onChange={(r) => edit({ kind: "setReach", reach: r as Schemas["Reach"] })}
      />
      <h2>Left out</h2>
      <ul className={css.leftout} aria-label="Left out">
        {(plan.plan.leftOut ?? []).map((r) => (
          <li key={r.region}>
            <span>
              <b>{regions[r.region].words}</b> {cm(r.sizeCm)} · {r.reason}
            </span>
            <Button size="small" onClick={() => edit({ kind: "takeIn", region: r.region })}>
              Include
            </Button>
          </li>
        ))}
        {byName.map((z) => (
          <li key={z}>
            <span>
              <b>{zoneWords(z)}</b> · {plan.plan.zones[z].excluded}
            </span>
            <Button size="small" onClick={() => edit({ kind: "includeZone", zone: z })}>
              Include
            </Button>
          </li>
        ))}
        {marks.map((m) => (
          <li key={`${m.kind}${m.x}${m.y}`}>
            <span>
              <b>{m.kind}</b> {cm(m.radiusCm)} · marked at the consultation
            </span>
          </li>
        ))}
        <li>
          <LeaveRegionOut edit={edit} />
        </li>
      </ul>
      {hidden.length > 0 && (
        <>
          <h2>Hidden work</h2>
          <p role="status" aria-label="Hidden work">
            {hidden.reduce((s, z) => s + z.hiddenMinutes, 0).toFixed(0)} min on hair hardly seen in any wear:{" "}
            {hidden.map((z) => `${zoneWords(z.zone).toLowerCase()} ${z.hiddenMinutes.toFixed(0)}`).join(", ")}
            .
          </p>
        </>
      )}
      {heavier && (
        <>
          <h2>Both sides</h2>
          <p role="status" aria-label="Both sides">
            {heavier.side
              ? `More hair falls to the ${heavier.side}: ${sides}.`
              : `The part is about central: ${sides}.`}
          </p>
          <div className={parts.row}>
            {heavier.edit && (
              <Button onClick={() => heavier.edit && edit(heavier.edit)}>More pieces {heavier.side}</Button>
            )}
            <Button onClick={() => edit({ kind: "mirrorSide", from: "left" })}>Left to right</Button>
            <Button onClick={() => edit({ kind: "mirrorSide", from: "right" })}>Right to left</Button>
          </div>
        </>
      )}
    </div>
  );
}

function LeaveRegionOut({ edit }: { edit: Props["edit"] }) {
  const [region, setRegion] = useState<Region>("veil");
  const [size, setSize] = useState(regions.veil.usual);
  const [reason, setReason] = useState("");
  const [open, setOpen] = useState(false);
  return (
    <Popover
      trigger="click"
      open={open}
      onOpenChange={setOpen}
      content={
        <div className={parts.formula} role="group" aria-label="Leave a region out">
          <Select
            aria-label="Region"
            value={region}
            options={(Object.keys(regions) as Region[]).map((r) => ({ value: r, label: regions[r].words }))}
            onChange={(r: Region) => {
              setRegion(r);
              setSize(regions[r].usual);
            }}
          />
          <Num
            draft
            name={regions[region].size}
            unit="cm"
            min={0.2}
            max={7}
            step={0.1}
            value={size}
            onSet={setSize}
          />
          <Input
            aria-label="Why the region is left out"
            placeholder="It falls over the work…"
            value={reason}
            maxLength={200}
            onChange={(e) => setReason(e.target.value)}
          />
          <Button
            type="primary"
            disabled={reason.trim() === ""}
            onClick={async () => {
              if (await edit({ kind: "leaveOut", region, sizeCm: size, reason })) {
                setOpen(false);
                setReason("");
              }
            }}
          >
            Leave it out
          </Button>
        </div>
      }
    >
      <Button>Leave a region out…</Button>
    </Popover>
  );
}
