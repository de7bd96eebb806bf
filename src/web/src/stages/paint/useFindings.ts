import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { api, type Finding } from "../../api/client";

/** A number that has stood still for a moment: while changes follow one another, nothing is asked for. */
function useSettled(value: number, ms: number): number {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return settled;
}

const settlesAfter = 350;

/**
 * Findings with their fixes: read by themselves after each change, since looking for fixes takes longer
 * than the change.
 */
export function useFindings(visit: string, revision: number, quick: Finding[]) {
  const still = useSettled(revision, settlesAfter) === revision;
  const { data, isFetching } = useQuery({
    queryKey: ["findings", visit, revision],
    enabled: still,
    queryFn: async ({ signal }) => {
      const { data } = await api.GET("/api/visits/{visit}/plan/findings", {
        params: { path: { visit } },
        signal,
      });
      return data ? { revision, findings: data } : null;
    },
  });
  return {
    findings: data?.revision === revision ? data.findings : quick,
    looking: isFetching || !still,
  };
}

/** The blend card: which panels to thank or blame. */
export function useCard(visit: string, revision: number) {
  const still = useSettled(revision, settlesAfter) === revision;
  const { data } = useQuery({
    queryKey: ["card", visit, revision],
    enabled: still,
    queryFn: async ({ signal }) =>
      (await api.GET("/api/visits/{visit}/plan/card", { params: { path: { visit } }, signal })).data ?? null,
    placeholderData: (p) => p,
  });
  return data ?? undefined;
}
