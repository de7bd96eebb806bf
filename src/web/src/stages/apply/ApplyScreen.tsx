import { Alert, Spin } from "antd";
import { useState } from "react";
import parts from "../../style/parts.module.css";
import { Care } from "../../visit/Care";
import { Columns } from "../../visit/Columns";
import { useServerNow } from "../../visit/serverNow";
import { useNarrow } from "../../visit/useNarrow";
import { useVisit } from "../../visit/useVisit";
import { Beforehand } from "./Beforehand";
import { ChairClock } from "./ChairClock";
import { FillingUp } from "./FillingUp";
import { Minding } from "./Minding";
import { NextDue } from "./NextDue";
import { NextStep } from "./NextStep";
import { useAwake, useDueSounds, useSounds } from "./sounds";
import { useApply } from "./useApply";

/** Service mode: one next thing, the head filling up, the clock, what is due. */
export function ApplyScreen() {
  const { visit } = useVisit();
  const chair = useApply(visit);
  const now = useServerNow();
  const narrow = useNarrow();
  const [sounds, setSounds] = useSounds();
  const [looking, setLooking] = useState<string>();
  const [mirrored, setMirrored] = useState(false);
  const awake = useAwake();
  const { service } = chair;
  useDueSounds(service?.due ?? [], now, sounds);
  if (!service) {
    return chair.problem ? (
      <Alert type="error" title="The service can't be shown" description={chair.problem} />
    ) : (
      <main className={parts.waiting}>
        <Spin size="large" />
      </main>
    );
  }
  const due = (
    <NextDue
      service={service}
      now={now}
      looking={looking}
      onLooking={setLooking}
      tell={chair.tell}
      large={!narrow}
    />
  );
  return (
    <Columns
      wide
      seen={
        service.seatedAt ? (
          <NextStep service={service} chair={chair} now={now} mirrored={mirrored} due={narrow && due} />
        ) : (
          <Beforehand service={service} chair={chair} now={now} />
        )
      }
      where={{
        label: "Head filling up",
        content: (
          <FillingUp
            service={service}
            now={now}
            tell={chair.tell}
            mirrored={mirrored}
            onMirrored={setMirrored}
          />
        ),
      }}
      along={{ label: "Clock", content: <ChairClock service={service} now={now} /> }}
      mind={{
        label: "What is due",
        content: (
          <>
            <div>
              {!narrow && due}
              <Minding
                service={service}
                tell={chair.tell}
                sounds={sounds}
                onSounds={setSounds}
                awake={awake}
              />
            </div>
            {/* Before that they are said beside the tap that begins. */}
            {service.seatedAt && <Care stops={service.stops} cautions={service.cautions} />}
          </>
        ),
      }}
      count={service.due.filter((d) => d.severity === "alarm").length + service.stops.length}
    />
  );
}
