import { App } from "antd";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { api, bytes, fromBase64, type PlanChange, type PlanEdit, type PlanView, wordsOf } from "./client";

/** Before, rinsed, a minute of processing, or weeks of growth: "12w". */
export type MomentKey = "before" | "rinsed" | number | `${number}w`;

/** Minutes until the last of a plan's formulas is rinsed. */
export const longestMinutes = (plan: PlanView) => Math.max(...plan.plan.formulas.map((f) => f.minutes));

export const momentWords = (m: MomentKey) =>
  m === "before"
    ? "before"
    : m === "rinsed"
      ? "rinsed"
      : typeof m === "number"
        ? `minute ${m}`
        : `in ${m.slice(0, -1)} weeks`;

export interface Work {
  plan: PlanView;
  /** Revision stored last: a preview does not change it. */
  revision: number;
  /** Level bytes as drawn at the moment looked at, a preview laid over them while a handle is dragged. */
  levels: Uint8Array | undefined;
  /** The same when rinsed, whatever moment is looked at. */
  rinsed: Uint8Array | undefined;
  panelOf: Int16Array | undefined;
  moment: MomentKey;
  busy: boolean;
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

function withStrands(levels: Uint8Array, change: PlanChange): Uint8Array {
  if (!change.strands) {
    return levels;
  }
  const next = levels.slice();
  const from = fromBase64(change.strands.levels);
  let at = 0;
  for (let i = 0; i < change.strands.ranges.length; i += 2) {
    const length = change.strands.ranges[i + 1] * 64;
    next.set(from.subarray(at, at + length), change.strands.ranges[i] * 64);
    at += length;
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

/**
 * A plan at work in this window: edits go out one after another, previews newest first, and nothing
 * acknowledged is lost.
 */
export function usePlan(visit: string): { work: Work | undefined; problem: string | undefined } {
  const { message } = App.useApp();
  const [plan, setPlan] = useState<PlanView>();
  const [rinsed, setRinsed] = useState<Uint8Array>();
  const [atMoment, setAtMoment] = useState<{ moment: MomentKey; levels: Uint8Array }>();
  const [panelOf, setPanelOf] = useState<Int16Array>();
  const [moment, setMoment] = useState<MomentKey>("rinsed");
  const [preview, setPreview] = useState<PlanChange>();
  const [problem, setProblem] = useState<string>();
  const [waiting, setWaiting] = useState(0);
  const current = useRef<PlanView>(undefined);
  const line = useRef<Promise<unknown>>(Promise.resolve());
  const trying = useRef<{ busy: boolean; next: PlanEdit | undefined; sequence: number; stopped: number }>({
    busy: false,
    next: undefined,
    sequence: 0,
    stopped: 0,
  });

  const read = useCallback(async () => {
    const answer = await api.GET("/api/visits/{visit}/plan", { params: { path: { visit } } });
    if (!answer.data) {
      setProblem(wordsOf(answer.error));
      return;
    }
    const [levels, strands] = await Promise.all([
      bytes(`/api/visits/${visit}/plan/levels`),
      bytes(`/api/visits/${visit}/plan/strands`),
    ]);
    current.current = answer.data;
    setPlan(answer.data);
    setRinsed(new Uint8Array(levels));
    setPanelOf(new Int16Array(strands));
    setProblem(undefined);
  }, [visit]);

  useEffect(() => {
    read().catch((e: Error) => setProblem(e.message));
  }, [read]);

  const revision = plan?.revision;
  useEffect(() => {
    if (moment === "rinsed" || revision === undefined) {
      setAtMoment(undefined);
      return;
    }
    const stop = new AbortController();
    bytes(`/api/visits/${visit}/plan/levels?moment=${moment}`, stop.signal)
      .then((b) => setAtMoment({ moment, levels: new Uint8Array(b) }))
      .catch(() => undefined);
    return () => stop.abort();
  }, [visit, moment, revision]);

  const change = useCallback(
    (send: (base: number) => Promise<{ data?: PlanChange; error?: unknown; response: Response }>) => {
      const step = line.current.then(async () => {
        const before = current.current;
        if (!before) {
          return false;
        }
        setWaiting((n) => n + 1);
        try {
          const { data, error, response } = await send(before.revision);
          if (!data) {
            message.error(wordsOf(error));
            if (response.status === 409) {
              await read();
            }
            return false;
          }
          if (data.lost.length > 0) {
            message.warning(
              `${data.lost.length} painted panels didn't fit the new sections. One undo brings them back.`,
            );
          }
          if (data.recut) {
            await read();
          } else {
            const next = withChange(before, data);
            current.current = next;
            setPlan(next);
            setRinsed((levels) => levels && withStrands(levels, data));
          }
          return true;
        } catch {
          message.error("The server does not answer. Nothing that was saved is lost; try again.");
          return false;
        } finally {
          trying.current.stopped = trying.current.sequence;
          setPreview(undefined);
          setWaiting((n) => n - 1);
        }
      });
      line.current = step;
      return step;
    },
    [message, read],
  );

  const edit = useCallback(
    (e: PlanEdit) => {
      trying.current.next = undefined;
      return change((baseRevision) =>
        api.POST("/api/visits/{visit}/plan/edits", {
          params: { path: { visit } },
          body: { baseRevision, edit: e, sequence: 0 },
        }),
      );
    },
    [change, visit],
  );

  const tryOut = useCallback(
    (e: PlanEdit) => {
      const t = trying.current;
      t.next = e;
      if (t.busy) {
        return;
      }
      t.busy = true;
      (async () => {
        while (t.next && current.current) {
          const body = { baseRevision: current.current.revision, edit: t.next, sequence: ++t.sequence };
          t.next = undefined;
          const { data } = await api.POST("/api/visits/{visit}/plan/previews", {
            params: { path: { visit } },
            body,
          });
          if (data && body.sequence > t.stopped) {
            setPreview(data);
          }
        }
      })()
        .catch(() => undefined)
        .finally(() => {
          t.busy = false;
        });
    },
    [visit],
  );

  const levels = useMemo(() => {
    if (moment !== "rinsed") {
      return atMoment?.levels ?? rinsed;
    }
    return rinsed && preview ? withStrands(rinsed, preview) : rinsed;
  }, [moment, atMoment, rinsed, preview]);

  if (!plan) {
    return { work: undefined, problem };
  }
  return {
    problem,
    work: {
      plan: preview ? withChange(plan, { ...preview, findings: plan.findings }) : plan,
      revision: plan.revision,
      levels,
      rinsed,
      panelOf,
      moment,
      busy: waiting > 0,
      preview,
      setMoment,
      edit,
      tryOut,
      leaveBe: () => {
        trying.current.next = undefined;
        trying.current.stopped = trying.current.sequence;
        setPreview(undefined);
      },
      undo: () =>
        change((baseRevision) =>
          api.POST("/api/visits/{visit}/plan/undo", { params: { path: { visit } }, body: { baseRevision } }),
        ),
      redo: () =>
        change((baseRevision) =>
          api.POST("/api/visits/{visit}/plan/redo", { params: { path: { visit } }, body: { baseRevision } }),
        ),
      reload: () => {
        // In the same line as the edits: what is read must not be older than what was changed.
        line.current = line.current.then(() => read().catch((e: Error) => setProblem(e.message)));
      },
    },
  };
}
