import { useQuery } from "@tanstack/react-query";
import { api, type Finding } from "../../api/client";
import { given } from "../../api/given";
import { useSettled } from "../../api/useSettled";

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
    queryFn: async ({ signal }) => ({
      revision,
      findings: await given(
        api.GET("/api/visits/{visit}/plan/findings", { params: { path: { visit } }, signal }),
      ),
    }),
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
    queryFn: ({ signal }) =>
      given(api.GET("/api/visits/{visit}/plan/card", { params: { path: { visit } }, signal })),
    placeholderData: (p) => p,
  });
  return data ?? undefined;
}
