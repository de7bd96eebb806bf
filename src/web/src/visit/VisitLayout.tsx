import { useQuery } from "@tanstack/react-query";
import { Spin } from "antd";
import { useCallback, useEffect, useMemo, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { Link, Outlet, useParams } from "react-router";
import type { Wear } from "../api/client";
import { fetchColours } from "../api/seen";
import { type MomentKey, usePlan, type Work } from "../api/usePlan";
import parts from "../style/parts.module.css";
import type { Mode } from "../views/modes";
import type { Comparing } from "./LookBar";
import { TopBar } from "./TopBar";
import { useSelection } from "./useSelection";
import { VisitContext } from "./useVisit";
import css from "./VisitLayout.module.css";

/** One visit: who she is and how far it is, and the screen of a stage beneath. */
export function VisitLayout() {
  const { visit = "" } = useParams();
  const { work, problem } = usePlan(visit);
  if (!work) {
    return (
      <main className={parts.waiting}>
        {problem ? (
          <>
            <h1>{problem}</h1>
            <Link to="/">Back to the day</Link>
          </>
        ) : (
          <Spin size="large" description="Combing the hair out…" />
        )}
      </main>
    );
  }
  return <VisitFrame key={visit} visit={visit} work={work} />;
}

function VisitFrame({ visit, work }: { visit: string; work: Work }) {
  const { plan } = work;
  const [wear, setWear] = useState<Wear>("down");
  const [angle, setAngle] = useState(30);
  const [mode, setMode] = useState<Mode>("hair");
  const [comparing, setComparing] = useState<Comparing>();
  const selection = useSelection(plan);
  const [raw, setRaw] = useState(false);
  const { data: bare } = useQuery({
    queryKey: ["colours"],
    queryFn: () => fetchColours(),
    staleTime: Number.POSITIVE_INFINITY,
  });
  const { tone } = plan.plan.wish;
  const { data: toned } = useQuery({
    queryKey: ["colours", tone],
    queryFn: () => fetchColours(tone),
    staleTime: Number.POSITIVE_INFINITY,
    placeholderData: (before) => before,
  });
  const coloursAt = useCallback(
    (moment: MomentKey, asRaw = raw) =>
      asRaw || moment === "before" || typeof moment === "number" ? bare : toned,
    [raw, bare, toned],
  );
  const colours = coloursAt("rinsed");
  const hairKey = useMemo(
    () => JSON.stringify([plan.hair, plan.plan.part, plan.plan.styled]),
    [plan.hair, plan.plan.part, plan.plan.styled],
  );
  useHotkeys("mod+z", () => work.undo(), { preventDefault: true });
  useHotkeys("mod+shift+z, mod+y", () => work.redo(), { preventDefault: true });
  useEffect(() => {
    document.title = `${plan.client} · Wendro`;
  }, [plan.client]);
  return (
    <VisitContext.Provider
      value={{
        visit,
        work,
        colours,
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
        setMode,
        comparing,
        setComparing,
      }}
    >
      <div className={css.visitFrame}>
        <TopBar visit={visit} work={work} />
        <Outlet />
      </div>
    </VisitContext.Provider>
  );
}
