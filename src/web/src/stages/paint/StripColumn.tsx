import { useQuery } from "@tanstack/react-query";
import { Button } from "antd";
import { api, type PanelView } from "../../api/client";
import { given } from "../../api/given";
import type { Colours } from "../../api/seen";
import type { Work } from "../../api/usePlan";
import parts from "../../style/parts.module.css";
import { PanelStrip } from "../../views/PanelStrip";
import { cm, mm } from "../../views/words";
import { Moves } from "./Moves";
import { AddAStep, Steps } from "./Steps";

interface Props {
  visit: string;
  work: Work;
  panel: PanelView | undefined;
  picked: string[];
  coat: number;
  colours: Colours | undefined;
  passing: boolean;
  onPass(): void;
}

/** The picked panel hung flat, and what is done to many at once. */
export function StripColumn({ visit, work, panel, picked, coat, colours, passing, onPass }: Props) {
  const { plan } = work;
  const { data: fetched } = useQuery({
    queryKey: ["strip", visit, panel?.key, plan.revision],
    enabled: panel !== undefined && !panel.strip,
    queryFn: async () => {
      if (!panel) {
        return null;
      }
      return await given(
        api.GET("/api/visits/{visit}/plan/panels/{zone}/{row}/{column}/strip", {
          params: { path: { visit, zone: panel.zone, row: panel.row, column: panel.column } },
        }),
      );
    },
    placeholderData: (p) => p,
  });
  return (
    <>
      <div className={parts.title}>
        <h2>Strip</h2>
        <span>{panel ? `${cm(Math.round(panel.lengthCm))} · ${mm(Math.round(panel.thicknessMm))}` : ""}</span>
      </div>
      <Steps plan={plan} edit={work.edit} />
      {panel && (
        <>
          <p className={parts.panelName}>
            {panel.words}{" "}
            <Button
              aria-label="Save strip as drawing"
              title="Save strip as drawing"
              href={`/api/visits/${visit}/plan/panels/${panel.key}/strip.svg`}
              download={`strip ${panel.words}.svg`}
              icon={<span aria-hidden="true">⤓</span>}
            />
          </p>
          <PanelStrip
            panel={panel}
            strip={panel.strip ?? fetched ?? undefined}
            colours={colours}
            coat={coat}
            onTry={work.tryOut}
            onEdit={work.edit}
          />
          {!panel.paint && <p className={parts.soft}>Natural. Pick a shape to paint it.</p>}
          {!passing && (
            <>
              <Button className={parts.wide} onClick={onPass}>
                Paint pass, panel by panel
              </Button>
              <Moves plan={plan} panel={panel} picked={picked} edit={work.edit} />
              <AddAStep plan={plan} edit={work.edit} />
            </>
          )}
        </>
      )}
    </>
  );
}
