import { useQuery } from "@tanstack/react-query";
import { Button, Spin } from "antd";
import { useEffect, useMemo, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { Link, Navigate, useParams } from "react-router";
import type { Finding, PanelView, Wear, Zone } from "../../api/client";
import { fetchColours } from "../../api/seen";
import { usePlan, type Work } from "../../api/usePlan";
import { isStage, type Stage } from "../../frame/Strand";
import { TopBar } from "../../frame/TopBar";
import { CrownMap } from "../../views/CrownMap";
import { HeadView, Ring } from "../../views/HeadView";
import { type Mode, modeWords, showAs } from "../../views/modes";
import { wearWords } from "../../views/words";
import { Consult } from "../consult/Consult";
import { HowSheWearsIt } from "../consult/HowSheWearsIt";
import { useConsult } from "../consult/useConsult";
import { useLook, type Wish, Wishes } from "../consult/Wishes";
import { Mix } from "../mix/Mix";
import { Divide } from "../section/Divide";
import { SectionHandles } from "../section/SectionHandles";
import { useSection } from "../section/useSection";
import { WorkingOrder } from "../section/WorkingOrder";
import { ZoneSettings } from "../section/ZoneSettings";
import { type Comparing, LookBar, useAgainst } from "./LookBar";
import { LookColumn } from "./LookColumn";
import { MomentLine } from "./MomentLine";
import { PaintPass, workingOrder } from "./PaintPass";
import { PanelSettings } from "./PanelSettings";
import { PickBar } from "./PickBar";
import { StripColumn } from "./StripColumn";
import { useSelection } from "./useSelection";

/** One workspace for Section and Paint: the head, the crown map over the settings, the strip, the second look. */
export function Workspace() {
  const { visit = "", stage = "paint" } = useParams();
  const { work, problem } = usePlan(visit);
  if (!isStage(stage)) {
    return <Navigate to={`/visits/${visit}/paint`} replace />;
  }
  if (!work) {
    return (
      <main className="waiting">
        {problem ? (
          <>
            <h1>{problem}</h1>
            <Link to="/">Back to the day</Link>
          </>
        ) : (
          <Spin size="large" description="Combing her hair out…" />
        )}
      </main>
    );
  }
  if (stage === "mix") {
    return (
      <div className="workspace mixing">
        <TopBar visit={visit} stage={stage} work={work} />
        <Mix visit={visit} work={work} />
      </div>
    );
  }
  return <AtWork key={visit} visit={visit} stage={stage} work={work} />;
}

function AtWork({ visit, stage, work }: { visit: string; stage: Stage; work: Work }) {
  const { plan } = work;
  const [wear, setWear] = useState<Wear>("down");
  const [angle, setAngle] = useState(30);
  const [coat, setCoat] = useState(0);
  const [mode, setMode] = useState<Mode>("hair");
  const [comparing, setComparing] = useState<Comparing>();
  const [passing, setPassing] = useState(false);
  const { data: colours } = useQuery({
    queryKey: ["colours"],
    queryFn: () => fetchColours(),
    staleTime: Number.POSITIVE_INFINITY,
  });

  // Until one is picked, the panel most seen: where an artist looks first.
  // While dividing, one in the middle of the back, where there is room for its handles.
  const selection = useSelection(
    plan,
    (panels) =>
      (stage === "section" ? panels.find((p) => p.zone === "upperBack" && p.row === 2) : undefined) ??
      panels.reduce<PanelView | undefined>(
        (best, p) =>
          !best || (p.paint ? 1 : 0) + p.seenShare > (best.paint ? 1 : 0) + best.seenShare ? p : best,
        undefined,
      ),
  );
  const { panel, picked, glow, marked, light, select } = selection;
  const coats = panel?.coats.length ?? 0;
  const shownCoat = coat < coats ? coat : 0;
  const hairKey = useMemo(
    () => JSON.stringify([plan.hair, plan.plan.part, plan.plan.styled]),
    [plan.hair, plan.plan.part, plan.plan.styled],
  );
  const show = (f: Finding) => {
    selection.mark(f.panels);
    setWear(f.wear);
    light(f.panels, f.along);
    const z = f.zones[0];
    setAngle(
      f.zones.length !== 1 || !z
        ? 30
        : /back|nape|crown/i.test(z)
          ? 180
          : z.endsWith("Left")
            ? 60
            : z.endsWith("Right")
              ? 300
              : 0,
    );
  };
  const { wiped: against, problem: uncompared } = useAgainst(
    visit,
    work.revision,
    work.moment,
    stage === "consult" ? undefined : comparing,
    colours,
  );
  const beside = stage !== "consult" && comparing?.side === true && against !== undefined;
  const head = {
    visit,
    hairKey,
    wear,
    angle,
    onAngle: setAngle,
    panelOf: work.panelOf,
    lit: glow.lit,
    litKey: glow.key,
    litAlong: glow.along,
    onPick: (i: number, besides: boolean) => plan.panels[i] && select(plan.panels[i].key, besides),
  };
  const shown = useMemo(
    () =>
      work.levels && colours
        ? showAs(mode, work.levels, work.rinsed, work.panelOf, plan.panels, colours)
        : undefined,
    [mode, work.levels, work.rinsed, work.panelOf, plan.panels, colours],
  );

  useHotkeys("mod+z", () => work.undo(), { preventDefault: true });
  useHotkeys("mod+shift+z, mod+y", () => work.redo(), { preventDefault: true });
  useEffect(() => {
    document.title = `${plan.client} · Wendro`;
  }, [plan.client]);

  // At the consultation she is looked at as she came; elsewhere as planned.
  const { setMoment } = work;
  useEffect(() => setMoment(stage === "consult" ? "before" : "rinsed"), [stage, setMoment]);
  const painted = plan.panels.filter((p) => p.paint).length;
  const consult = useConsult(visit, work.reload, stage === "consult");
  const [wish, setWish] = useState<Wish>();
  const look = useLook(visit, stage === "consult" ? (wish ?? plan.plan.wish) : undefined, hairKey);
  const section = useSection(visit, work.revision, stage === "section");
  const [zone, setZone] = useState<Zone>();
  const pickZone = (z: Zone) => {
    setZone(z);
    const first = plan.panels.find((p) => p.zone === z);
    if (first) {
      select(first.key);
    }
  };

  return (
    <div className="workspace">
      <TopBar visit={visit} stage={stage} work={work} />

      <section className="col head-col" aria-label="Head">
        <div className="row wears" role="group" aria-label="How she wears it">
          {plan.plan.wears.map((w) => (
            <Button
              key={w}
              shape="round"
              type={w === wear ? "primary" : "default"}
              aria-pressed={w === wear}
              onClick={() => setWear(w)}
            >
              {wearWords[w]}
            </Button>
          ))}
          {stage === "consult" && (
            <HowSheWearsIt
              consult={consult}
              wears={plan.plan.wears}
              styled={plan.plan.styled ?? "own"}
              style={(styling) => work.edit({ kind: "setStyling", styling })}
              set={(wears) => {
                setWear("down");
                work.edit({ kind: "setWears", wears });
              }}
            />
          )}
        </div>
        {stage !== "consult" && (
          <LookBar
            work={work}
            mode={mode}
            onMode={setMode}
            comparing={comparing}
            onCompare={setComparing}
            problem={uncompared}
          />
        )}
        <div className={beside ? "heads" : "heads one"}>
          <HeadView
            {...head}
            levels={stage === "consult" ? work.levels : shown?.levels}
            colours={stage === "consult" ? colours : shown?.colours}
            wiped={stage === "consult" ? look : beside ? undefined : against}
            caption={beside ? against?.left : undefined}
            plain={beside}
          />
          {beside && (
            <HeadView {...head} levels={against?.levels} colours={colours} caption={against?.right} plain />
          )}
        </div>
        {beside && <Ring angle={angle} onAngle={setAngle} />}
        {stage !== "consult" && shown && shown.legend.length > 0 && (
          <ul className="legend" aria-label={`Colours: ${modeWords[mode]}`}>
            {shown.legend.map((l) => (
              <li key={l.label}>
                <span style={{ background: l.hex }} />
                {l.label}
              </li>
            ))}
          </ul>
        )}
        {stage === "consult" ? (
          <Wishes wish={wish ?? plan.plan.wish} onTry={setWish} edit={work.edit} />
        ) : (
          <MomentLine work={work} />
        )}
      </section>

      {stage === "consult" ? (
        <Consult visit={visit} plan={plan} colours={colours} work={work} consult={consult} />
      ) : (
        <>
          <section className="col map-col" aria-label="Where">
            <div className="title">
              <h2>Crown map</h2>
              <span>
                {plan.panels.length} panels · {painted} painted
              </span>
            </div>
            <CrownMap
              scalp={plan.scalpOutline}
              part={plan.partLine}
              panels={plan.panels}
              natural={plan.hair.naturalLevel}
              colours={colours?.levels}
              selected={panel?.key}
              marked={marked}
              picked={selection.pickedSet}
              onSelect={select}
            >
              {stage === "section" && (
                <SectionHandles plan={plan} panel={panel} edit={work.edit} tryOut={work.tryOut} />
              )}
            </CrownMap>
            {stage === "paint" && !passing && <PickBar selection={selection} />}
            {stage === "paint" && panel ? (
              passing ? (
                <PaintPass
                  panel={panel}
                  order={workingOrder(plan)}
                  edit={work.edit}
                  onGo={(key) => select(key)}
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
              )
            ) : (
              <ZoneSettings
                plan={plan}
                section={section}
                panel={panel}
                chosen={zone}
                edit={work.edit}
                onPickZone={pickZone}
              />
            )}
          </section>

          {stage === "section" ? (
            <section className="col strip-col" aria-label="Working order">
              <WorkingOrder
                plan={plan}
                section={section}
                zone={panel?.zone}
                edit={work.edit}
                onPick={pickZone}
              />
            </section>
          ) : (
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
          )}

          <aside className="col look-col">
            {stage === "section" ? (
              <Divide visit={visit} plan={plan} section={section} edit={work.edit} />
            ) : (
              <LookColumn
                visit={visit}
                work={work}
                selection={selection}
                onShow={show}
                onCompare={(a) => setComparing(a && { against: a, side: comparing?.side ?? false })}
              />
            )}
            <ul className="care" aria-label="Care">
              {plan.stops.map((s) => (
                <li key={s} className="stop">
                  <b>Stop.</b> {s}
                </li>
              ))}
              {plan.cautions.map((c) => (
                <li key={c}>{c}</li>
              ))}
            </ul>
          </aside>
        </>
      )}
    </div>
  );
}
