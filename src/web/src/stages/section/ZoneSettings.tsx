import { Button, Input, Popover, Segmented, Select } from "antd";
import { useState } from "react";
import type { PanelView, PlanEdit, PlanView, Schemas, Zone } from "../../api/client";
import parts from "../../style/parts.module.css";
import { Line, Whether } from "../../views/Choice";
import { Num } from "../../views/Num";
import { allZones, zoneWords } from "../../views/words";

const partings: Record<Schemas["Parting"], string> = {
  horizontal: "horizontal",
  diagonalBack: "diagonal back",
  diagonalForward: "diagonal forward",
  zigzag: "zigzag",
  vertical: "vertical",
  pivot: "pivot from the crown",
  triangles: "triangles",
};

interface Props {
  plan: PlanView;
  section: Schemas["SectionView"] | undefined;
  panel: PanelView | undefined;
  /** Zone picked by name: it may have no panel to pick. */
  chosen: Zone | undefined;
  edit(edit: PlanEdit): Promise<boolean>;
  onPickZone(zone: Zone): void;
}

/** How a zone is cut, and where the part lies. */
export function ZoneSettings({ plan, section, panel, chosen, edit, onPickZone }: Props) {
  const zone = chosen && plan.plan.zones[chosen]?.excluded ? chosen : (panel?.zone ?? "upperBack");
  const planned = plan.plan.zones[zone];
  const s = planned.sections;
  const here = plan.panels.filter((p) => p.zone === zone);
  const area = here.reduce((sum, p) => sum + p.areaCm2, 0);
  const grams = here.reduce((sum, p) => sum + p.hairGrams, 0);
  const minutes = here.reduce((sum, p) => sum + p.minutes, 0);
  const hidden = section?.order.find((z) => z.zone === zone)?.hiddenMinutes ?? 0;
  const cut = (change: Partial<typeof s>) => edit({ kind: "cutZone", zone, ...s, ...change });
  const part = plan.plan.part;
  return (
    <div className={parts.settings} role="group" aria-label="Zone settings">
      <div className={parts.title}>
        <Select
          aria-label="Zone"
          value={zone}
          style={{ width: 150 }}
          options={allZones.map((z) => ({ value: z, label: zoneWords(z) }))}
          onChange={onPickZone}
        />
        <span>
          {planned.excluded
            ? "left out"
            : `${here.length} panels · ${area.toFixed(0)} cm² · ${grams.toFixed(0)} g`}
        </span>
      </div>
      {!planned.excluded && (
        <p className={parts.facts}>
          {minutes > 0 ? (
            <>
              <strong>{minutes.toFixed(0)} min</strong> to paint
              {hidden >= 0.5 && (
                <>
                  , <strong>{hidden.toFixed(0)}</strong> of them on hair hardly seen in any wear
                </>
              )}
              .
            </>
          ) : (
            "Nothing of it is painted yet."
          )}
        </p>
      )}
      {planned.excluded ? (
        <>
          <p>Left out: {planned.excluded}</p>
          <Button type="primary" onClick={() => edit({ kind: "includeZone", zone })}>
            Take it in again
          </Button>
        </>
      ) : (
        <>
          <Line name="Partings">
            <Select
              aria-label="Partings"
              style={{ width: 150 }}
              value={s.parting}
              options={(Object.keys(partings) as Schemas["Parting"][]).map((p) => ({
                value: p,
                label: partings[p],
              }))}
              onChange={(v) => cut({ parting: v })}
            />
          </Line>
          <Num
            name="Section thickness"
            unit="mm"
            min={4}
            max={40}
            step={1}
            value={s.thicknessMm}
            onSet={(v) => cut({ thicknessMm: v })}
          />
          <Num
            name="Panel width"
            unit="cm"
            min={1}
            max={10}
            step={0.5}
            value={s.widthCm}
            onSet={(v) => cut({ widthCm: v })}
          />
          <Num
            name="Left out between"
            unit="mm"
            min={0}
            max={20}
            step={1}
            value={s.leaveOutMm}
            onSet={(v) => cut({ leaveOutMm: v })}
          />
          <Whether name="Bricklay" value={s.bricklay} onChange={(v) => cut({ bricklay: v })} />
          <Whether name="Woven in two groups" value={s.woven} onChange={(v) => cut({ woven: v })} />
          <Line name="Worked">
            <Segmented
              aria-label="Worked"
              value={s.order}
              options={[
                { value: "lowFirst", label: "low first" },
                { value: "highFirst", label: "high first" },
              ]}
              onChange={(v) => cut({ order: v as Schemas["RowOrder"] })}
            />
          </Line>
          <div className={parts.row}>
            <LeaveOut zone={zone} edit={edit} />
            <Popover
              trigger="click"
              content={
                <div className={parts.formula} role="group" aria-label="Part">
                  <p className={parts.why}>Plus moves it to the client's left. Panels and paint follow.</p>
                  <Num
                    name="At the hairline"
                    unit="cm"
                    min={-5}
                    max={5}
                    step={0.5}
                    value={part.frontCm}
                    onSet={(v) => edit({ kind: "movePart", frontCm: v, backCm: part.backCm })}
                  />
                  <Num
                    name="At the crown"
                    unit="cm"
                    min={-3}
                    max={3}
                    step={0.5}
                    value={part.backCm}
                    onSet={(v) => edit({ kind: "movePart", frontCm: part.frontCm, backCm: v })}
                  />
                  <Num
                    name="Zigzag"
                    unit="mm"
                    min={0}
                    max={15}
                    step={1}
                    value={part.zigzagMm}
                    onSet={(zigzagMm) => edit({ kind: "movePart", ...part, zigzagMm })}
                  />
                </div>
              }
            >
              <Button>Move the part…</Button>
            </Popover>
          </div>
        </>
      )}
    </div>
  );
}

function LeaveOut({ zone, edit }: { zone: Zone; edit: Props["edit"] }) {
  const [reason, setReason] = useState("");
  return (
    <Popover
      trigger="click"
      content={
        <div className={parts.formula}>
          <Input
            aria-label="Why it is left out"
            placeholder="Undercut, veil, not today…"
            value={reason}
            maxLength={200}
            onChange={(e) => setReason(e.target.value)}
          />
          <Button
            type="primary"
            disabled={reason.trim() === ""}
            onClick={() => edit({ kind: "excludeZone", zone, reason })}
          >
            Leave {zoneWords(zone).toLowerCase()} out
          </Button>
        </div>
      }
    >
      <Button>Leave out…</Button>
    </Popover>
  );
}
