import { useIsMutating, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { App } from "antd";
import { useCallback, useRef, useState } from "react";
import { drawnAhead, notAhead } from "./ahead";
import { api, fromBase64, type PlanChange, type PlanEdit, type PlanView } from "./client";
import { bytes, given, Refused } from "./given";
import { type Hair, readHair } from "./seen";

/** Before, rinsed, a minute of the lightening step, after a step: "s1", or weeks of growth: "12w". */
export type MomentKey = "before" | "rinsed" | number | `s${number}` | `${number}w`;

/** Minutes until the last formula painted on panels is rinsed. */
export const longestMinutes = (plan: PlanView) => {
  const areas = new Set((plan.plan.steps ?? []).filter((s) => s.area).map((s) => s.formula));
  const painted = plan.plan.formulas.filter((f) => !areas.has(f.id));
  return Math.max(...(painted.length > 0 ? painted : plan.plan.formulas).map((f) => f.minutes));
};

export const momentWords = (m: MomentKey) =>
  m === "before"
    ? "before"
    : m === "rinsed"
      ? "rinsed"
      : typeof m === "number"
        ? `minute ${m}`
        : m[0] === "s"
          ? `after step ${m.slice(1)}`
          : `in ${m.slice(0, -1)} weeks`;

export interface Work {
  plan: PlanView;
  /** Revision stored last: a preview does not change it. */
  revision: number;
  /** All strands as drawn at the moment looked at, a preview laid over them while a handle is dragged. */
  shown: Hair | undefined;
  /** The same when rinsed, whatever moment is looked at. */
  rinsed: Hair | undefined;
  panelOf: Int16Array | undefined;
  moment: MomentKey;
  /** The change a preview would make, while there is one. */
  preview: PlanChange | undefined;
  setMoment(moment: MomentKey): void;
  edit(edit: PlanEdit): Promise<boolean>;
  tryOut(edit: PlanEdit): void;
  /** Takes a preview back. */
  leaveBe(): void;
  undo(): void;
  redo(): void;
  reload(): void;
}

function withStrands(hair: Hair, change: PlanChange): Hair {
  if (!change.strands) {
    return hair;
  }
  const next = hair.slice();
  const levels = fromBase64(change.strands.levels);
  const tints = fromBase64(change.strands.tints);
  let from = 0;
  for (let i = 0; i < change.strands.ranges.length; i += 2) {
    const to = change.strands.ranges[i] * 64;
    const length = change.strands.ranges[i + 1] * 64;
    for (let k = 0; k < length; k++) {
      next[to + k] = levels[from + k] | (tints[from + k] << 8);
    }
    from += length;
  }
  return next;
}

function withChange(plan: PlanView, change: PlanChange): PlanView {
  const changed = new Map(change.panels.map((p) => [p.key, p]));
  return {
    ...plan,
    revision: change.revision,
    canUndo: change.canUndo,
    canRedo: change.canRedo,
    undoes: change.undoes,
    redoes: change.redoes,
    plan: change.plan,
    panels: change.recut ? change.panels : plan.panels.map((p) => changed.get(p.key) ?? p),
    working: change.working ?? plan.working,
    measures: change.measures,
    findings: change.findings,
    cautions: change.cautions,
  };
}

/** A plan as it was read or changed last: its panels, its strands' levels when rinsed, and whose each strand is. */
interface Stored {
  plan: PlanView;
  rinsed: Hair;
  panelOf: Int16Array;
}

const planQuery = (visit: string) => ({
  queryKey: ["plan", visit],
  // It changes by what is done here; whoever comes back reads it anew.
  staleTime: Number.POSITIVE_INFINITY,
  gcTime: 0,
  queryFn: async (): Promise<Stored> => {
    const [plan, hair, strands] = await Promise.all([
      given(api.GET("/api/visits/{visit}/plan", { params: { path: { visit } } })),
      bytes(`/api/visits/${visit}/plan/hair`),
      bytes(`/api/visits/${visit}/plan/strands`),
    ]);
    return { plan, rinsed: readHair(hair), panelOf: new Int16Array(strands) };
  },
});

/** What is read by itself after each change, and takes long. */
const sought = (visit: string) => [
  ["findings", visit],
  ["card", visit],
];

type Doing = { edit: PlanEdit } | "undo" | "redo" | "read";

const send = (visit: string, doing: Exclude<Doing, "read">, baseRevision: number) => {
  const params = { path: { visit } };
  return given(
    doing === "undo"
      ? api.POST("/api/visits/{visit}/plan/undo", { params, body: { baseRevision } })
      : doing === "redo"
        ? api.POST("/api/visits/{visit}/plan/redo", { params, body: { baseRevision } })
        : api.POST("/api/visits/{visit}/plan/edits", {
            params,
            body: { baseRevision, edit: doing.edit, sequence: 0 },
          }),
  );
};

/** Whether a change of the plan is on its way; asked where it is shown, so that nothing else is drawn anew for it. */
export const useSaving = (visit: string) => useIsMutating({ mutationKey: ["plan", visit] }) > 0;

/**
 * A plan at work in this window: edits go out one after another, previews newest first, and nothing
 * acknowledged is lost.
 */
export function usePlan(visit: string): { work: Work | undefined; problem: string | undefined } {
  const { message } = App.useApp();
  const cache = useQueryClient();
  const { data: stored, error } = useQuery(planQuery(visit));
  const [moment, setMoment] = useState<MomentKey>("rinsed");
  const preview = usePreview(visit, () => cache.getQueryData<Stored>(["plan", visit]));
  const { data: atMoment } = useQuery<Hair>({
    queryKey: ["hair", visit, moment, stored?.plan.revision],
    enabled: stored !== undefined && moment !== "rinsed",
    gcTime: 0,
    placeholderData: (before) => before,
    queryFn: async ({ signal }) =>
      readHair(await bytes(`/api/visits/${visit}/plan/hair?moment=${moment}`, signal)),
  });

  const { mutateAsync } = useMutation({
    mutationKey: ["plan", visit],
    // One after another, in the order they were asked for.
    scope: { id: `plan ${visit}` },
    mutationFn: async (doing: Doing) => {
      const readAgain = () => cache.fetchQuery({ ...planQuery(visit), staleTime: 0 });
      const before = cache.getQueryData<Stored>(["plan", visit]);
      if (!before || doing === "read") {
        await readAgain();
        return;
      }
      try {
        const change = await send(visit, doing, before.plan.revision);
        if (change.lost.length > 0) {
          message.warning(
            `${change.lost.length} painted panels didn't fit the new sections. One undo brings them back.`,
          );
        }
        if (change.recut) {
          await readAgain();
        } else {
          const rinsed = withStrands(before.rinsed, change);
          await drawnAhead(preview.hair() ?? before.rinsed, rinsed);
          cache.setQueryData<Stored>(["plan", visit], {
            ...before,
            plan: withChange(before.plan, change),
            rinsed,
          });
        }
      } catch (e) {
        if (e instanceof Refused && e.status === 409) {
          await readAgain();
        }
        throw e;
      }
    },
    // Fixes are looked for on every core: what is sought for the plan as it was makes way for what is done now.
    onMutate: (doing) =>
      doing === "read"
        ? undefined
        : Promise.all(sought(visit).map((queryKey) => cache.cancelQueries({ queryKey }))),
    onError: () => Promise.all(sought(visit).map((queryKey) => cache.invalidateQueries({ queryKey }))),
    onSettled: () => preview.drop(),
  });
  const change = useCallback(
    (doing: Doing) =>
      mutateAsync(doing).then(
        () => true,
        () => false,
      ),
    [mutateAsync],
  );

  const reload = useCallback(() => void change("read"), [change]);
  const tried = preview.tried?.change;
  const shown = moment === "rinsed" ? (preview.tried?.hair ?? stored?.rinsed) : (atMoment ?? stored?.rinsed);

  if (!stored) {
    return { work: undefined, problem: error?.message };
  }
  const { plan } = stored;
  return {
    problem: error?.message,
    work: {
      plan: tried ? withChange(plan, { ...tried, findings: plan.findings }) : plan,
      revision: plan.revision,
      shown,
      rinsed: stored.rinsed,
      panelOf: stored.panelOf,
      moment,
      preview: tried,
      setMoment,
      edit: (edit) => {
        preview.forget();
        return change({ edit });
      },
      tryOut: preview.tryOut,
      leaveBe: preview.stop,
      undo: () => void change("undo"),
      redo: () => void change("redo"),
      reload,
    },
  };
}

/** What an edit would change, and all strands as they would be. */
interface Tried {
  change: PlanChange;
  hair: Hair;
}

interface Trying {
  busy: boolean;
  next?: PlanEdit;
  sequence: number;
  /** Up to here nothing is shown any more. */
  stopped: number;
  /** What is shown. */
  hair?: Hair;
}

/** What an edit would change, while a handle moves: one at a time, always the newest, dropped once stopped. */
function usePreview(visit: string, stored: () => Stored | undefined) {
  const [tried, setTried] = useState<Tried>();
  const trying = useRef<Trying>({ busy: false, sequence: 0, stopped: 0 });
  const forget = () => {
    trying.current.next = undefined;
  };
  const drop = () => {
    trying.current.stopped = trying.current.sequence;
    trying.current.hair = undefined;
    setTried(undefined);
  };
  const stop = () => {
    forget();
    drop();
  };
  const tryOut = (edit: PlanEdit) => {
    const t = trying.current;
    t.next = edit;
    if (t.busy) {
      return;
    }
    t.busy = true;
    (async () => {
      for (let base = stored(); t.next && base; base = stored()) {
        const body = { baseRevision: base.plan.revision, edit: t.next, sequence: ++t.sequence };
        t.next = undefined;
        const data = await given(
          api.POST("/api/visits/{visit}/plan/previews", { params: { path: { visit } }, body }),
        );
        const holds = () => body.sequence > t.stopped;
        if (!holds()) {
          continue;
        }
        const hair = withStrands(base.rinsed, data);
        await drawnAhead(t.hair ?? base.rinsed, hair);
        if (holds()) {
          t.hair = hair;
          setTried({ change: data, hair });
        } else {
          notAhead();
        }
      }
    })()
      // What can't be tried shows nothing: the edit itself will say why.
      .catch(() => undefined)
      .finally(() => {
        t.busy = false;
      });
  };
  return { tried, hair: () => trying.current.hair, tryOut, forget, drop, stop };
}
