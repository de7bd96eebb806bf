import { useState } from "react";
import type { Finding } from "../../api/client";
import { MomentLine } from "../../views/MomentLine";
import { Care } from "../../visit/Care";
import { Columns } from "../../visit/Columns";
import { HeadColumn } from "../../visit/HeadColumn";
import { PlanMap } from "../../visit/PlanMap";
import { useVisit } from "../../visit/useVisit";
import { LookColumn } from "./LookColumn";
import { PaintPass, workingOrder } from "./PaintPass";
import { PanelSettings } from "./PanelSettings";
import { PickBar } from "./PickBar";
import { StripColumn } from "./StripColumn";

/** Paint: panel by panel, seen on the head at once, and a second pair of eyes. */
export function PaintScreen() {
  const { visit, work, colours, selection, setWear, setAngle, comparing, setComparing } = useVisit();
  const { plan } = work;
  const { panel, picked } = selection;
  const [coat, setCoat] = useState(0);
  const [passing, setPassing] = useState(false);
  const shownCoat = coat < (panel?.coats.length ?? 0) ? coat : 0;
  const show = (f: Finding) => {
    selection.mark(f.panels);
    setWear(f.wear);
    setAngle(f.angle);
    selection.light(f.panels, f.along);
  };
  return (
    <Columns
      seen={
        <HeadColumn moment="rinsed">
          <MomentLine work={work} />
        </HeadColumn>
      }
      where={{
        label: "Where",
        content: (
          <>
            <PlanMap selected={panel?.key} />
            {!passing && <PickBar selection={selection} />}
            {panel &&
              (passing ? (
                <PaintPass
                  panel={panel}
                  order={workingOrder(plan)}
                  edit={work.edit}
                  onGo={(key) => selection.select(key)}
                  onEnd={() => setPassing(false)}
                />
              ) : (
                <PanelSettings
                  plan={plan}
                  panel={panel}
                  picked={picked}
                  coat={shownCoat}
                  onCoat={setCoat}
                  edit={work.edit}
                />
              ))}
          </>
        ),
      }}
      along={{
        label: "Strip",
        content: (
          <StripColumn
            visit={visit}
            work={work}
            panel={panel}
            picked={picked}
            coat={shownCoat}
            colours={colours}
            passing={passing}
            onPass={() => setPassing(true)}
          />
        ),
      }}
      mind={{
        label: "What to mind",
        content: (
          <>
            <LookColumn
              visit={visit}
              work={work}
              selection={selection}
              onShow={show}
              onCompare={(a) => setComparing(a && { against: a, side: comparing?.side ?? false })}
            />
            <Care stops={plan.stops} cautions={plan.cautions} />
          </>
        ),
      }}
      count={plan.findings.length + plan.stops.length}
    />
  );
}
