import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useMemo } from "react";
import { api, type PlanEdit, type Schemas } from "../../api/client";
import { bytes, given } from "../../api/given";
import { type Colours, type Hair, readHair } from "../../api/seen";
import type { Wiped } from "../../views/Wipe";
import { useFacts } from "../../visit/useFacts";

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

/** The review, and what is seen and said in it. */
export function useReview(visit: string): Reviewing {
  const { view, problem, refused, say } = useFacts<ReviewView, ReviewFact>({
    visit,
    stage: "review",
    read: () => given(api.GET("/api/visits/{visit}/review", { params: { path: { visit } } })),
    post: ({ id, fact }) =>
      given(
        api.POST("/api/visits/{visit}/review/facts", { params: { path: { visit } }, body: { id, fact } }),
      ),
  });
  return { review: view, problem, refused, say: (fact) => void say(fact) };
}

/** Plans what is short as the next step of the visit, and has the service go by it. */
export function useCorrect(visit: string, edit: (edit: PlanEdit) => Promise<boolean>) {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: async (review: ReviewView) => {
      if (!(await edit(review.correction[0]))) {
        return;
      }
      const plan = await given(api.GET("/api/visits/{visit}/plan", { params: { path: { visit } } }));
      if (review.isServed) {
        const path = { params: { path: { visit } } };
        const chair = await given(api.GET("/api/visits/{visit}/apply", path));
        await given(
          api.POST("/api/visits/{visit}/apply/facts", {
            ...path,
            body: {
              after: chair.facts,
              id: crypto.randomUUID(),
              fact: { kind: "planTaken", revision: plan.revision },
            },
          }),
        );
      }
    },
    onSettled: () => {
      for (const stage of ["review", "apply", "mix", "glance"]) {
        cache.invalidateQueries({ queryKey: [stage, visit] });
      }
    },
  });
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
