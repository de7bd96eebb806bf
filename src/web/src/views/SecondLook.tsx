import { Button } from "antd";
import type { Finding, PlanEdit, PlanView, Schemas } from "../api/client";
import parts from "../style/parts.module.css";
import { BlendCard } from "./BlendCard";
import css from "./SecondLook.module.css";
import { SetAside, SetAsideList } from "./SetAside";
import { Told } from "./Told";
import { quantity, rise, said, unitsNow, useUnits } from "./units";

interface Props {
  plan: PlanView;
  findings: Finding[];
  /** Fixes are being looked for. */
  looking: boolean;
  card: Schemas["CardView"] | undefined;
  /** The finding whose fix is tried out. */
  tried: string | undefined;
  onShow(finding: Finding): void;
  onLight(panels: string[]): void;
  onTry(finding: Finding): void;
  onKeep(finding: Finding): void;
  onLeave(): void;
  edit(edit: PlanEdit): Promise<boolean>;
}

/** A standing second pair of eyes: the blend card, and what is wrong, worst first. */
export function SecondLook(props: Props) {
  const { plan, findings, looking, card, onLight, edit } = props;
  const painted = plan.panels.some((p) => p.paint);
  const heard = findings.filter((f) => f.setAside == null);
  const aside = findings.filter((f) => f.setAside != null);
  return (
    <section className={css.look} aria-label="Second look">
      <h2>Against the wish</h2>
      <BlendCard plan={plan} card={card} onLight={onLight} />
      <div aria-live="polite" aria-busy={looking}>
        {heard.map((f) => (
          <One key={f.id} {...props} finding={f} />
        ))}
        {heard.length === 0 && (
          <p className={parts.calm}>
            {painted
              ? "No issues. Check every side once more."
              : "Nothing is painted yet. Pick a panel on the map and give it a shape."}
          </p>
        )}
        <SetAsideList aside={aside} edit={edit} />
      </div>
    </section>
  );
}

const figure = (value: number, unit: string) =>
  unit === "share"
    ? value > 1
      ? "all of it and more"
      : `${Math.round(value * 100)} %`
    : unit === "level/cm"
      ? rise(value, unitsNow())
      : quantity(value, unit, unitsNow());

function One({
  finding: f,
  looking,
  tried,
  onShow,
  onTry,
  onKeep,
  onLeave,
  edit,
}: Props & { finding: Finding }) {
  const trying = tried === f.id;
  const units = useUnits();
  return (
    <Told finding={f}>
      {f.fix && trying && (
        <p className={css.effect} role="status">
          {f.fix.now.name}: {figure(f.fix.now.value, f.fix.now.unit)} →{" "}
          <b>{f.fix.after == null ? "fixed" : figure(f.fix.after, f.fix.now.unit)}</b>
          {f.fix.brings.length > 0 && `; brings ${f.fix.brings.join(", ").toLowerCase()}`}
        </p>
      )}
      <div className={parts.row}>
        {trying ? (
          <>
            <Button key="keep" autoFocus type="primary" onClick={() => onKeep(f)}>
              Keep
            </Button>
            <Button key="leave" onClick={onLeave}>
              Discard
            </Button>
          </>
        ) : (
          <>
            {f.panels.length > 0 && <Button onClick={() => onShow(f)}>Show</Button>}
            {f.fix && (
              <Button type="primary" onClick={() => onTry(f)}>
                {said(f.fix.labelParts, units)}
              </Button>
            )}
            {f.canDismiss && !looking && <SetAside finding={f} edit={edit} />}
          </>
        )}
      </div>
      {f.fix && !f.fix.mends && <p className={parts.soft}>Better, not yet enough.</p>}
    </Told>
  );
}
