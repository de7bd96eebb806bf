import { useQuery, useQueryClient } from "@tanstack/react-query";
import { App } from "antd";
import { useCallback, useState } from "react";
import { api, type Schemas, wordsOf } from "../../api/client";

export type MixView = Schemas["MixView"];
export type Bowl = Schemas["BowlView"];
export type BowlEvent = Schemas["BowlEvent"];

export interface Mixing {
  mix: MixView | undefined;
  problem: string | undefined;
  busy: boolean;
  begin(bowl: Bowl): Promise<boolean>;
  happen(bowl: Bowl, event: BowlEvent): Promise<boolean>;
  tick(item: string, isThere: boolean): Promise<boolean>;
}

/** The plan as bowls, and what is done with them; every answer is the mix as it stands then. */
export function useMix(visit: string, revision: number): Mixing {
  const { message } = App.useApp();
  const cache = useQueryClient();
  const [busy, setBusy] = useState(false);
  const key = ["mix", visit];
  const { data, error } = useQuery({
    queryKey: [...key, revision],
    placeholderData: (p) => p,
    refetchOnMount: "always",
    queryFn: async () => {
      const answer = await api.GET("/api/visits/{visit}/mix", { params: { path: { visit } } });
      if (!answer.data) {
        throw new Error(wordsOf(answer.error));
      }
      return answer.data;
    },
  });

  const send = useCallback(
    async (ask: () => Promise<{ data?: MixView; error?: unknown; response: Response }>, quiet = false) => {
      setBusy(true);
      try {
        const answer = await ask();
        if (answer.data) {
          cache.setQueryData(["mix", visit, revision], answer.data);
          cache.invalidateQueries({ queryKey: ["glance", visit] });
          return true;
        }
        // Another window weighs along and was first: what it kept is read.
        if (!quiet || answer.response.status !== 409) {
          message.error(wordsOf(answer.error));
        }
        if (answer.response.status === 409) {
          await cache.invalidateQueries({ queryKey: ["mix", visit] });
        }
        return false;
      } catch {
        message.error("The server does not answer. What was weighed so far is kept; try again.");
        return false;
      } finally {
        setBusy(false);
      }
    },
    [cache, message, visit, revision],
  );

  return {
    mix: data,
    problem: error?.message,
    busy,
    begin: (bowl) =>
      send(() =>
        api.POST("/api/visits/{visit}/mix/bowls", {
          params: { path: { visit } },
          body: { baseRevision: data?.revision ?? revision, formula: bowl.formula, ordinal: bowl.ordinal },
        }),
      ),
    happen: (bowl, event) =>
      bowl.begun
        ? send(
            () =>
              api.POST("/api/visits/{visit}/mix/bowls/{bowl}/events", {
                params: { path: { visit, bowl: bowl.begun?.id ?? "" } },
                body: { after: bowl.begun?.events ?? 0, event },
              }),
            event.kind === "tared" || (event.kind === "poured" && event.how === "scale"),
          )
        : Promise.resolve(false),
    tick: (item, isThere) =>
      send(() =>
        api.POST("/api/visits/{visit}/mix/tray", { params: { path: { visit } }, body: { item, isThere } }),
      ),
  };
}
