import { Alert, Slider, Spin } from "antd";
import { useEffect, useState } from "react";
import parts from "../../style/parts.module.css";
import { Care } from "../../visit/Care";
import { Columns } from "../../visit/Columns";
import { HeadColumn } from "../../visit/HeadColumn";
import { useVisit } from "../../visit/useVisit";
import { Areas } from "./Areas";
import { AtBasin } from "./AtBasin";
import { Minding } from "./Minding";
import css from "./Tone.module.css";
import { ToneStrand } from "./ToneStrand";
import { useOffers, useTone, useToned } from "./useTone";

/** Tone: what finishes the colour, on what came out: area by area, minute by minute. */
export function ToneScreen() {
  const { visit, work, coloursAt, setRaw } = useVisit();
  const toning = useTone(visit);
  const { tone, problem, refused } = toning;
  const [chosen, setChosen] = useState<number>();
  const longest = Math.max(1, ...(tone?.areas.map((a) => Math.round(a.area.minutes)) ?? []));
  const [minutes, setMinutes] = useState<number>();
  const shownAt = minutes === undefined || minutes >= longest ? undefined : minutes;
  const { raw, wiped } = useToned(visit, tone, shownAt, coloursAt("rinsed", true));
  const area = tone?.areas.find((a) => a.area.id === chosen) ?? tone?.areas.at(-1);
  const offers = useOffers(visit, tone?.facts, area?.area.id);
  // What is toned is the lifted hair; the toner is in its tints.
  useEffect(() => setRaw(true), [setRaw]);
  if (!tone) {
    return problem ? (
      <Alert type="error" title="The toning can't be shown" description={problem} />
    ) : (
      <main className={parts.waiting}>
        <Spin size="large" />
      </main>
    );
  }
  return (
    <Columns
      seen={
        <HeadColumn moment="rinsed" own hair={raw} wiped={wiped}>
          {tone.areas.length > 0 && (
            <div className={css.minutes}>
              <span>Minutes on</span>
              <b>{shownAt ?? longest}</b>
              <Slider
                min={0}
                max={longest}
                value={shownAt ?? longest}
                onChange={setMinutes}
                tooltip={{ open: false }}
                ariaLabelForHandle="Minutes on"
              />
            </div>
          )}
          <AtBasin toning={toning} tone={tone} />
        </HeadColumn>
      }
      where={{
        label: "Areas",
        content: (
          <Areas
            visit={visit}
            toning={toning}
            tone={tone}
            plan={work.plan}
            chosen={area}
            onChosen={setChosen}
            refused={refused}
          />
        ),
      }}
      along={{
        label: "Strand",
        content: <ToneStrand tone={tone} chosen={area?.area.id} />,
      }}
      mind={{
        label: "What it comes to",
        content: (
          <>
            <Minding tone={tone} area={area} offers={offers} toning={toning} minute={shownAt} />
            <Care stops={work.plan.stops} cautions={work.plan.cautions} />
          </>
        ),
      }}
      count={tone.findings.filter((f) => f.severity !== "note").length}
    />
  );
}
