import { useMutation, useMutationState, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { api, type Schemas } from "../../api/client";
import { given, Refused, Unreachable } from "../../api/given";

export type ApplyView = Schemas["ApplyView"];
export type ServiceFact = Schemas["ServiceFact"];
export type Due = Schemas["Due"];

interface Said {
  id: string;
  fact: ServiceFact;
  /** How many facts there were. */
  after: number;
}

export interface Chair {
  service: ApplyView | undefined;
  problem: string | undefined;
  /** Something said is on its way, and what is shown doesn't know of it yet. */
  busy: boolean;
  /** Says what happened; whether it was kept. */
  tell(fact: ServiceFact): Promise<boolean>;
  /** What was refused last, in words; gone with the next fact. */
  refused: string | undefined;
}

/** How often another pair of hands' taps are looked for, ms. */
const looksEvery = 4000;

/** Facts are only added: an answer asked for earlier, that comes in later, is not shown in a later one's place. */
const later = (had: ApplyView | undefined, view: ApplyView) => (had && had.facts > view.facts ? had : view);

/** Server's clock less this device's, ms, by when the answer came in. */
let ahead = 0;

/** The service, and what happens in it; every answer is the service as it stands then. */
export function useApply(visit: string): Chair {
  const cache = useQueryClient();
  const queryKey = ["apply", visit];
  const { data, error } = useQuery({
    queryKey,
    refetchOnMount: "always",
    refetchInterval: looksEvery,
    queryFn: async () => {
      const asked = Date.now();
      const view = await given(api.GET("/api/visits/{visit}/apply", { params: { path: { visit } } }));
      ahead = Date.parse(view.now) - (asked + Date.now()) / 2;
      return later(cache.getQueryData<ApplyView>(queryKey), view);
    },
  });
  const telling = useMutation({
    mutationKey: queryKey,
    scope: { id: `apply ${visit}` },
    // What was said once is said again until it is kept: it carries its own name, so that it counts once.
    retry: (tries, e) => e instanceof Unreachable && tries < 60,
    retryDelay: 1000,
    mutationFn: ({ id, fact, after }: Said) =>
      given(
        api.POST("/api/visits/{visit}/apply/facts", {
          params: { path: { visit } },
          body: { after, id, fact },
        }),
      ),
    onSuccess: (view) => {
      cache.setQueryData<ApplyView>(queryKey, (had) => later(had, view));
      cache.invalidateQueries({ queryKey: ["glance", visit] });
    },
    onError: (e) => (e instanceof Refused ? cache.invalidateQueries({ queryKey }) : undefined),
    meta: { quietWhenLate: true },
  });
  const waiting = useMutationState({
    filters: { mutationKey: queryKey, status: "pending" },
    select: (m) => (m.state.variables as Said).after,
  });
  return {
    service: data,
    problem: error?.message,
    busy: waiting.some((after) => after >= (data?.facts ?? 0)),
    refused: telling.error instanceof Refused ? telling.error.message : undefined,
    tell: (fact) =>
      telling
        .mutateAsync({
          id: crypto.randomUUID(),
          fact,
          after: cache.getQueryData<ApplyView>(queryKey)?.facts ?? 0,
        })
        .then(
          () => true,
          () => false,
        ),
  };
}

/** The server's time, told every half second. */
export function useServerNow(): number {
  const [, tick] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => tick((n) => n + 1), 500);
    return () => clearInterval(timer);
  }, []);
  // Reckoned when it is shown: right from the first answer on.
  return Date.now() + ahead;
}
