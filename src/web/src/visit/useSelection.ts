import { useMemo, useState } from "react";
import type { Finding, PanelView, PlanView } from "../api/client";
import { panelAt } from "./panelAt";

/** What is lit on the head for a moment. */
export interface Glow {
  lit: ReadonlySet<number>;
  key: number;
  /** Where along the hair, shares of the length. */
  along?: [number, number];
}

export type Selection = ReturnType<typeof useSelection>;

/** Until one is picked, the panel most seen: where an artist looks first. */
const mostSeen = (panels: PanelView[]) =>
  panels.reduce<PanelView | undefined>(
    (best, p) =>
      !best || (p.paint ? 1 : 0) + p.seenShare > (best.paint ? 1 : 0) + best.seenShare ? p : best,
    undefined,
  );

/** One selection for head, map and strip: the panel shown, and those picked with it. */
export function useSelection(plan: PlanView) {
  const [selected, setSelected] = useState<string>();
  const [others, setOthers] = useState<ReadonlySet<string>>(new Set());
  const [several, setSeveral] = useState(false);
  const [marked, setMarked] = useState<ReadonlySet<string>>(new Set());
  const [glow, setGlow] = useState<Glow>({ lit: new Set(), key: 0 });
  // What was in hand stays in hand: cut anew, it is the panel nearest to it, also where nothing was picked yet.
  const [usual] = useState(() => mostSeen(plan.panels)?.key);
  const chosen = panelAt(plan.panels, selected);
  const panel = chosen ?? panelAt(plan.panels, usual) ?? mostSeen(plan.panels);
  const picked = useMemo(() => {
    const here = new Set(plan.panels.map((p) => p.key));
    return panel ? [panel.key, ...[...others].filter((k) => k !== panel.key && here.has(k))] : [];
  }, [plan.panels, panel, others]);

  const light = (keys: Iterable<string>, along?: Finding["along"]) => {
    const wanted = new Set(keys);
    const lit = new Set<number>();
    let length = 0;
    plan.panels.forEach((p, i) => {
      if (wanted.has(p.key)) {
        lit.add(i);
        length += p.lengthCm;
      }
    });
    const mean = length / Math.max(1, lit.size);
    setGlow((g) => ({
      lit,
      key: g.key + 1,
      along:
        along && mean > 0 ? [along.fromCm / mean, Math.max(along.toCm, along.fromCm + 1) / mean] : undefined,
    }));
  };

  const select = (key: string, besides = false) => {
    if (!besides && !several) {
      setSelected(key);
      setOthers(new Set());
      setMarked(new Set());
      light([key]);
      return;
    }
    // Tapped again, a panel is let go.
    const now = new Set(picked);
    if (now.has(key) && now.size > 1) {
      now.delete(key);
      setSelected([...now][0]);
    } else {
      now.add(key);
      setSelected(key);
    }
    setOthers(now);
    light(now);
  };

  const pickAll = (which: (p: PanelView) => boolean) => {
    const keys = plan.panels.filter(which).map((p) => p.key);
    setOthers(new Set(keys));
    light(keys);
  };

  return {
    /** The panel picked; nothing until one is. */
    chosen,
    panel,
    picked,
    pickedSet: useMemo(() => new Set(picked.length > 1 ? picked : []), [picked]),
    several,
    setSeveral: (on: boolean) => {
      setSeveral(on);
      if (!on) {
        setOthers(new Set());
      }
    },
    marked,
    mark: (keys: string[]) => setMarked(new Set(keys)),
    glow,
    light,
    select,
    pickAll,
  };
}
