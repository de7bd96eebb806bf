import { useState } from "react";
import type { Zone } from "../../api/client";
import { MomentLine } from "../../views/MomentLine";
import { Care } from "../../visit/Care";
import { Columns } from "../../visit/Columns";
import { HeadColumn } from "../../visit/HeadColumn";
import { PlanMap } from "../../visit/PlanMap";
import { panelAt } from "../../visit/panelAt";
import { useVisit } from "../../visit/useVisit";
import { Divide } from "./Divide";
import { SectionHandles } from "./SectionHandles";
import { useSection } from "./useSection";
import { WorkingOrder } from "./WorkingOrder";
import { ZoneSettings } from "./ZoneSettings";

/** Section: the head divided, the working order, what is left out and why. */
export function SectionScreen() {
  const { visit, work, selection } = useVisit();
  const { plan } = work;
  const section = useSection(visit, work.revision);
  const [zone, setZone] = useState<Zone>();
  // Until one is picked, one in the middle of the back, where there is room for its handles.
  const panel = selection.chosen ?? panelAt(plan.panels, "upperBack/2/0") ?? selection.panel;
  const pickZone = (z: Zone) => {
    setZone(z);
    const first = plan.panels.find((p) => p.zone === z);
    if (first) {
      selection.select(first.key);
    }
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
            <PlanMap selected={panel?.key}>
              <SectionHandles plan={plan} panel={panel} edit={work.edit} tryOut={work.tryOut} />
            </PlanMap>
            <ZoneSettings
              plan={plan}
              section={section}
              panel={panel}
              chosen={zone}
              edit={work.edit}
              onPickZone={pickZone}
            />
          </>
        ),
      }}
      along={{
        label: "Working order",
        content: (
          <WorkingOrder plan={plan} section={section} zone={panel?.zone} edit={work.edit} onPick={pickZone} />
        ),
      }}
      mind={{
        label: "What to mind",
        content: (
          <>
            <Divide visit={visit} plan={plan} section={section} edit={work.edit} />
            <Care stops={plan.stops} cautions={plan.cautions} />
          </>
        ),
      }}
      count={plan.stops.length}
    />
  );
}
