import { type ReactNode, useEffect, useMemo, useState } from "react";
import { Link } from "react-router";
import type { Hair } from "../api/seen";
import type { MomentKey } from "../api/usePlan";
import parts from "../style/parts.module.css";
import { whole } from "../views/closer";
import { HeadView } from "../views/HeadView";
import { modeWords, showAs } from "../views/modes";
import { Ring } from "../views/Ring";
import { WearButtons } from "../views/WearButtons";
import type { Wiped } from "../views/Wipe";
import css from "./HeadColumn.module.css";
import { LookBar, useAgainst } from "./LookBar";
import { PinnedUp, pinnedOf } from "./PinnedUp";
import { useVisit } from "./useVisit";

interface Props {
  /** Moment the head is first looked at. */
  moment: MomentKey;
  /** Beside the wears. */
  wears?: ReactNode;
  /** What it is wiped against, where the stage says so itself; otherwise colours and comparing are offered. */
  wiped?: Wiped;
  own?: boolean;
  /** The hair shown, where it is not the plan's. */
  hair?: Hair;
  /** Beneath the head. */
  children: ReactNode;
}

/** What is seen: the head in the wears she uses, turned, at a moment, and held against another state. */
export function HeadColumn({ moment, wears, wiped, own, hair, children }: Props) {
  const {
    visit,
    work,
    coloursAt,
    raw,
    setRaw,
    selection,
    hairKey,
    wear,
    setWear,
    angle,
    setAngle,
    mode,
    comparing,
    ...rest
  } = useVisit();
  const { plan, setMoment } = work;
  const [closer, setCloser] = useState(whole);
  const [up, setUp] = useState("nothing");
  const pinned = own ? "" : pinnedOf(up, selection.chosen?.key);
  useEffect(() => setMoment(moment), [setMoment, moment]);
  const { wiped: against, problem } = useAgainst(
    visit,
    work.revision,
    work.moment,
    own ? undefined : comparing,
    coloursAt,
  );
  const colours = coloursAt(work.moment);
  const beside = !own && comparing?.side === true && against !== undefined;
  const shown = useMemo(
    () =>
      work.shown && colours && !own
        ? showAs(mode, work.shown, work.rinsed, work.panelOf, plan.panels, colours)
        : undefined,
    [mode, work.shown, work.rinsed, work.panelOf, plan.panels, colours, own],
  );
  const sections = selection.chosen && plan.plan.zones[selection.chosen.zone]?.sections;
  const head = {
    visit,
    // A new cut lays other hair above the panel at work.
    hairKey: up === "panel" ? hairKey + JSON.stringify(sections) : hairKey,
    wear,
    angle,
    onAngle: setAngle,
    closer,
    onCloser: setCloser,
    pinned,
    panelOf: work.panelOf,
    lit: selection.glow.lit,
    litKey: selection.glow.key,
    litAlong: selection.glow.along,
    onPick: (i: number, besides: boolean) => plan.panels[i] && selection.select(plan.panels[i].key, besides),
  };
  return (
    <section className={`${parts.col} ${css.headCol}`} aria-label="Head">
      <div className={parts.row}>
        <div className={parts.row} role="group" aria-label="Worn">
          <WearButtons wears={plan.plan.wears} wear={wear} onWear={setWear} />
          {wears}
        </div>
        {!own && (
          <LookBar
            work={work}
            raw={raw}
            onRaw={setRaw}
            mode={mode}
            onMode={rest.setMode}
            comparing={comparing}
            onCompare={rest.setComparing}
            problem={problem}
          />
        )}
      </div>
      <div className={beside ? css.heads : `${css.heads} ${css.one}`}>
        <HeadView
          {...head}
          hair={own ? (hair ?? work.shown) : shown?.hair}
          colours={own ? colours : shown?.colours}
          wiped={own ? wiped : beside ? undefined : against}
          caption={beside ? against?.left : undefined}
          plain={beside}
          tools={
            <>
              {!own && <PinnedUp up={up} onUp={setUp} panel={selection.chosen?.key} />}
              <Link to={`/visits/${visit}/show`} className={css.show} aria-label="Show the client">
                Show
              </Link>
            </>
          }
          saved={
            own || mode !== "hair" || against
              ? undefined
              : `moment=${work.moment}&toned=${colours === coloursAt("rinsed", false)}`
          }
        />
        {beside && (
          <HeadView
            {...head}
            hair={against?.hair}
            colours={against?.colours}
            caption={against?.right}
            plain
          />
        )}
      </div>
      {beside && <Ring angle={angle} onAngle={setAngle} />}
      {!own && shown && shown.legend.length > 0 && (
        <ul className={css.legend} aria-label={`Colours: ${modeWords[mode]}`}>
          {shown.legend.map((l) => (
            <li key={l.label}>
              <span style={{ background: l.hex }} />
              {l.label}
            </li>
          ))}
        </ul>
      )}
      {children}
    </section>
  );
}
