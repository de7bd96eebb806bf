import type { ReactNode } from "react";
import parts from "../style/parts.module.css";
import { CrownMap } from "../views/CrownMap";
import { useVisit } from "./useVisit";

/** Where: the plan on the crown map, with how many panels there are. */
export function PlanMap({ selected, children }: { selected: string | undefined; children?: ReactNode }) {
  const { work, colours, selection } = useVisit();
  const { plan } = work;
  return (
    <>
      <div className={parts.title}>
        <h2>Crown map</h2>
        <span>
          {plan.panels.length} panels · {plan.panels.filter((p) => p.paint).length} painted
        </span>
      </div>
      <CrownMap
        scalp={plan.scalpOutline}
        part={plan.partLine}
        panels={plan.panels}
        natural={plan.hair.naturalLevel}
        colours={colours}
        selected={selected}
        marked={selection.marked}
        picked={selection.pickedSet}
        onSelect={selection.select}
      >
        {children}
      </CrownMap>
    </>
  );
}
