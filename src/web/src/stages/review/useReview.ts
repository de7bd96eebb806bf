import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useMemo } from "react";
import { api, type Schemas } from "../../api/client";
import { bytes, given, Refused, Unreachable } from "../../api/given";
import { type Colours, type Hair, readHair } from "../../api/seen";
import type { Wiped } from "../../views/Wipe";

export type ReviewView = Schemas["ReviewView"];
export type ReviewFact = Schemas["ReviewFact"];
export type ReviewZone = Schemas["ReviewZone"];
export type Depth = Schemas["Depth"];

export interface Reviewing {
  review: ReviewView | undefined;
  problem: string | undefined;
  /** Says what was seen; kept with its moment. */
  say(fact: ReviewFact): void;
  /** What was refused last, in words. */
  refused: string | undefined;
}

/** The review, and what is seen and said in it; every answer is the review as it stands then. */
export function useReview(visit: string): Reviewing {
  const cache = useQueryClient();
  const queryKey = ["review", visit];
  const { data, error } = useQuery({
    queryKey,
    refetchOnMount: "always",
    queryFn: () => given(api.GET("/api/visits/{visit}/review", { params: { path: { visit } } })),
  });
  const saying = useMutation({
    mutationKey: queryKey,
    scope: { id: `review ${visit}` },
    // What was said once is said again until it is kept: it carries its own name, so that it counts once.
    retry: (tries, e) => e instanceof Unreachable && tries < 60,
    retryDelay: 1000,
    mutationFn: ({ id, fact }: { id: string; fact: ReviewFact }) =>
      given(
        api.POST("/api/visits/{visit}/review/facts", {
          params: { path: { visit } },
          body: { id, fact },
        }),
      ),
    onSuccess: (view) => {
      cache.setQueryData<ReviewView>(queryKey, (had) => (had && had.facts > view.facts ? had : view));
      cache.invalidateQueries({ queryKey: ["glance", visit] });
    },
    meta: { quietWhenLate: true },
  });
  return {
    review: data,
    problem: error?.message,
    say: (fact) => saying.mutate({ id: crypto.randomUUID(), fact }),
    refused: saying.error instanceof Refused ? saying.error.message : undefined,
  };
}

/** The head as it came out, to be wiped against the plan. */
export function useCameOut(
  visit: string,
  facts: number | undefined,
  raw: Colours | undefined,
): Wiped | undefined {
  const { data } = useQuery<Hair>({
    queryKey: ["cameOut", visit, facts],
    enabled: facts !== undefined,
    placeholderData: (p) => p,
    queryFn: async ({ signal }) =>
      readHair(await bytes(`/api/visits/${visit}/review/hair?which=cameOut`, signal)),
  });
  return useMemo(
    () => (data && raw ? { hair: data, colours: raw, left: "planned", right: "came out" } : undefined),
    [data, raw],
  );
}
