import { useQuery } from "@tanstack/react-query";
import { api, type Finding } from "../../api/client";

/** Findings with their fixes: read by themselves after each change, since looking for fixes takes longer than the change. */
export function useFindings(visit: string, revision: number, quick: Finding[], enabled: boolean) {
  const { data, isFetching } = useQuery({
    queryKey: ["findings", visit, revision],
    enabled,
    queryFn: async ({ signal }) => {
      const { data } = await api.GET("/api/visits/{visit}/plan/findings", {
        params: { path: { visit } },
        signal,
      });
      return data ? { revision, findings: data } : null;
    },
  });
  return { findings: data?.revision === revision ? data.findings : quick, looking: enabled && isFetching };
}

/** The blend card: which panels to thank or blame. */
export function useCard(visit: string, revision: number, enabled: boolean) {
  const { data } = useQuery({
    queryKey: ["card", visit, revision],
    enabled,
    queryFn: async ({ signal }) =>
      (await api.GET("/api/visits/{visit}/plan/card", { params: { path: { visit } }, signal })).data ?? null,
    placeholderData: (p) => p,
  });
  return data ?? undefined;
}
