import { useIsMutating, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, type Schemas } from "../../api/client";
import { given, Refused } from "../../api/given";
import type { Weighs } from "../../weighing/bowls";

export type MixView = Schemas["MixView"];
export interface Mixing extends Weighs {
  mix: MixView | undefined;
  problem: string | undefined;
  tick(item: string, isThere: boolean): Promise<boolean>;
}

/** The plan as bowls, and what is done with them; every answer is the mix as it stands then. */
export function useMix(visit: string, revision: number): Mixing {
  const cache = useQueryClient();
  const { data, error } = useQuery({
    queryKey: ["mix", visit, revision],
    placeholderData: (p) => p,
    refetchOnMount: "always",
    queryFn: () => given(api.GET("/api/visits/{visit}/mix", { params: { path: { visit } } })),
  });
  const how = {
    mutationKey: ["mix", visit],
    scope: { id: `mix ${visit}` },
    mutationFn: (ask: () => Promise<MixView>) => ask(),
    onSuccess: (mix: MixView) => {
      cache.setQueryData(["mix", visit, revision], mix);
      cache.invalidateQueries({ queryKey: ["glance", visit] });
    },
    onError: (e: Error) =>
      e instanceof Refused && e.status === 409
        ? cache.invalidateQueries({ queryKey: ["mix", visit] })
        : undefined,
  };
  const byHand = useMutation(how);
  // Another window may weigh along and be first: what it kept is read, and nothing needs saying.
  const byScale = useMutation({ ...how, meta: { quietWhenLate: true } });
  const waiting = useIsMutating({ mutationKey: ["mix", visit] });
  const done = (asked: Promise<MixView>) =>
    asked.then(
      () => true,
      () => false,
    );
  const params = { path: { visit } };

  return {
    mix: data,
    problem: error?.message,
    busy: waiting > 0,
    settling: data?.settling,
    scoopGramsOf: (product) => data?.offers.lighteners.find((l) => l.name === product)?.scoopGrams,
    begin: ({ formula, ordinal }) =>
      done(
        byHand.mutateAsync(() =>
          given(
            api.POST("/api/visits/{visit}/mix/bowls", {
              params,
              body: { baseRevision: data?.revision ?? revision, formula, ordinal },
            }),
          ),
        ),
      ),
    happen: ({ begun }, event) => {
      if (!begun) {
        return Promise.resolve(false);
      }
      const scale = event.kind === "tared" || (event.kind === "poured" && event.how === "scale");
      return done(
        (scale ? byScale : byHand).mutateAsync(() =>
          given(
            api.POST("/api/visits/{visit}/mix/bowls/{bowl}/events", {
              params: { path: { visit, bowl: begun.id } },
              body: { after: begun.events, event },
            }),
          ),
        ),
      );
    },
    tick: (item, isThere) =>
      done(
        byHand.mutateAsync(() =>
          given(api.POST("/api/visits/{visit}/mix/tray", { params, body: { item, isThere } })),
        ),
      ),
  };
}
