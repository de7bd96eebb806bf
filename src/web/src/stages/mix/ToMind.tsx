import { useQuery } from "@tanstack/react-query";
import { Button, Popover } from "antd";
import { api, type PlanEdit, type PlanView, type Schemas } from "../../api/client";
import { given } from "../../api/given";
import parts from "../../style/parts.module.css";
import secondLookCss from "../../views/SecondLook.module.css";
import { SetAside, SetAsideList } from "../../views/SetAside";
import { Told } from "../../views/Told";
import { said, useUnits } from "../../views/units";
import type { MixView } from "./useMix";

interface Props {
  plan: PlanView;
  mix: MixView;
  edit(edit: PlanEdit): Promise<boolean>;
  onLight(panels: string[]): void;
}

/** What to mind about the bowls, worst first. */
export function ToMind({ plan, mix, edit, onLight }: Props) {
  const units = useUnits();
  const heard = mix.findings.filter((f) => f.setAside == null);
  const aside = mix.findings.filter((f) => f.setAside != null);
  const { forecast } = mix;
  return (
    <section className={secondLookCss.look} aria-label="Issues">
      <h2>Issues</h2>
      <div aria-live="polite">
        {heard.map((f) => (
          <Told key={f.id} finding={f}>
            {f.kind === "unevenRecipe" && forecast && (
              <p className={secondLookCss.effect}>
                Forecast with it: {level(forecast.meanLevelPlanned)} → <b>{level(forecast.meanLevel)}</b> on
                average
                {forecast.endsLevel != null &&
                  `, ends ${level(forecast.endsLevelPlanned)} → ${level(forecast.endsLevel)}`}
                .
              </p>
            )}
            <div className={parts.row}>
              {f.panels.length > 0 && <Button onClick={() => onLight(f.panels)}>Show</Button>}
              {f.fix && (
                <Button type="primary" onClick={() => f.fix && edit(f.fix.edit)}>
                  {said(f.fix.labelParts, units)}
                </Button>
              )}
              {f.kind === "firstOver" && <Coarser plan={plan} edit={edit} />}
              {f.kind === "heatAgainstLeaflet" && <ConfirmHeat plan={plan} finding={f} edit={edit} />}
              {f.canDismiss && <SetAside finding={f} edit={edit} />}
            </div>
          </Told>
        ))}
        {heard.length === 0 && <p className={parts.calm}>No issues with the bowls.</p>}
        <SetAsideList aside={aside} edit={edit} />
        {mix.unneeded.length > 0 && (
          <p className={parts.soft}>No longer needed by the plan: {mix.unneeded.join("; ")}.</p>
        )}
      </div>
    </section>
  );
}

const level = (value: number | null | undefined) => (value == null ? "–" : value.toFixed(1));

/** The coarser cut that looks nearest and can be painted in time, tried out; one tap takes it. */
function Coarser({ plan, edit }: { plan: PlanView; edit(edit: PlanEdit): Promise<boolean> }) {
  const units = useUnits();
  const { visitId: visit, revision } = plan;
  const { data, isPending } = useQuery({
    queryKey: ["coarser", visit, revision],
    queryFn: () => given(api.GET("/api/visits/{visit}/mix/coarser", { params: { path: { visit } } })),
  });
  if (isPending) {
    return <span className={parts.soft}>Trying coarser cuts…</span>;
  }
  const cut = data?.cut;
  return cut ? (
    <>
      <Button type="primary" onClick={() => edit(cut.edit)}>
        {said(cut.labelParts, units)}
      </Button>
      <span className={parts.soft}>
        {cut.panels} panels instead of {cut.panelsBefore}, the last at minute {cut.lastAtMinute.toFixed(0)}{" "}
        instead of {cut.lastAtMinuteBefore.toFixed(0)}; it looks {cut.levelsApart.toFixed(1)} level apart.
      </span>
    </>
  ) : null;
}

/** Heat only where its leaflet was read and allows it. */
function ConfirmHeat({
  plan,
  finding,
  edit,
}: {
  plan: PlanView;
  finding: Schemas["MixFindingView"];
  edit(edit: PlanEdit): Promise<boolean>;
}) {
  const formula = plan.plan.formulas.find((f) => f.id === finding.about);
  return formula ? (
    <Popover
      trigger="click"
      content={
        <div className={parts.move}>
          <p>Read the leaflet of the product in your hand. Stay with the client while it is warm.</p>
          <Button onClick={() => edit({ kind: "setFormula", formula: { ...formula, heatConfirmed: true } })}>
            Its leaflet allows low heat
          </Button>
        </div>
      }
    >
      <Button>Leaflet read…</Button>
    </Popover>
  ) : null;
}
