import { Button } from "antd";
import { useState } from "react";
import type { Finding } from "../../api/client";
import type { Work } from "../../api/usePlan";
import parts from "../../style/parts.module.css";
import { SecondLook } from "../../views/SecondLook";
import type { Against } from "../../visit/LookBar";
import type { Selection } from "../../visit/useSelection";
import { BringBack } from "./BringBack";
import { Placements } from "./Placements";
import { useCard, useFindings } from "./useFindings";

interface Props {
  visit: string;
  work: Work;
  selection: Selection;
  onShow(finding: Finding): void;
  /** Holds the head against something; nothing ends it. */
  onCompare(against: Against | undefined): void;
}

/** What to mind: the blend card, the findings, and placements searched for what she wants. */
export function LookColumn({ visit, work, selection, onShow, onCompare }: Props) {
  const { plan } = work;
  const [tried, setTried] = useState<string>();
  const [placing, setPlacing] = useState(false);
  const found = useFindings(visit, work.revision, plan.findings);
  const card = useCard(visit, work.revision);
  if (placing) {
    return (
      <Placements
        visit={visit}
        revision={work.revision}
        edit={work.edit}
        onCompare={onCompare}
        onClose={() => {
          setPlacing(false);
          onCompare(undefined);
        }}
      />
    );
  }
  return (
    <>
      <SecondLook
        plan={plan}
        findings={found.findings}
        looking={found.looking}
        card={card}
        tried={work.preview ? tried : undefined}
        onShow={onShow}
        onLight={(keys) => {
          selection.mark(keys);
          selection.light(keys);
        }}
        onTry={(f) => {
          setTried(f.id);
          if (f.fix) {
            work.tryOut(f.fix.edit);
          }
        }}
        onKeep={(f) => f.fix && work.edit(f.fix.edit)}
        onLeave={work.leaveBe}
        edit={work.edit}
      />
      <BringBack visit={visit} edit={work.edit} />
      <Button className={`${parts.wide} ${parts.still}`} onClick={() => setPlacing(true)}>
        From look to placement…
      </Button>
    </>
  );
}
