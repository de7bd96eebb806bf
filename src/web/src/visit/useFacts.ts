import { useMutation, useMutationState, useQuery, useQueryClient } from "@tanstack/react-query";
import { Refused, Unreachable } from "../api/given";

interface Said<Fact> {
  id: string;
  fact: Fact;
  /** How many facts there were. */
  after: number;
}

/** A fact, or how it follows from what stands when its turn comes: changes made quickly build on each other. */
export type Telling<View, Fact> = Fact | ((view: View) => Fact);

interface Meant<View, Fact> {
  id: string;
  fact: Telling<View, Fact>;
  /** How many facts there were when it was said. */
  after: number;
}

interface Kept<View, Fact> {
  visit: string;
  /** The stage they belong to. */
  stage: "apply" | "review" | "tone" | "record";
  /** Asks for what stands. */
  read(): Promise<View>;
  /** Says a fact; answers with what stands then. */
  post(said: Said<Fact>): Promise<View>;
  /** How often another pair of hands' taps are looked for, ms; never where nothing is said, or 0. */
  looksEvery?(view: View | undefined): number;
}

export interface Facts<View, Fact> {
  view: View | undefined;
  problem: string | undefined;
  /** Something said is on its way, and what is shown doesn't know of it yet. */
  busy: boolean;
  /** Says what happened; whether it was kept. */
  say(fact: Telling<View, Fact>): Promise<boolean>;
  /** What was refused last, in words; gone with the next fact. */
  refused: string | undefined;
}

/** Facts are only added: an answer asked for earlier, that comes in later, is not shown in a later one's place. */
const later = <View extends { facts: number }>(had: View | undefined, view: View) =>
  had && had.facts > view.facts ? had : view;

/** What happens at a stage of a visit: said once, kept in order; every answer is how it stands then. */
export function useFacts<View extends { facts: number }, Fact>({
  visit,
  stage,
  read,
  post,
  looksEvery,
}: Kept<View, Fact>): Facts<View, Fact> {
  const cache = useQueryClient();
  const queryKey = [stage, visit];
  const { data, error } = useQuery({
    queryKey,
    refetchOnMount: "always",
    refetchInterval: (query) => looksEvery?.(query.state.data as View | undefined) || false,
    queryFn: async () => {
      const view = await read();
      return later(cache.getQueryData<View>(queryKey), view);
    },
  });
  const saying = useMutation({
    mutationKey: queryKey,
    scope: { id: `${stage} ${visit}` },
    // What was said once is said again until it is kept: it carries its own name, so that it counts once.
    retry: (tries, e) => e instanceof Unreachable && tries < 60,
    retryDelay: 1000,
    mutationFn: ({ id, fact, after }: Meant<View, Fact>) => {
      if (typeof fact !== "function") {
        return post({ id, fact, after });
      }
      const view = cache.getQueryData<View>(queryKey);
      if (!view) {
        throw new Error("Nothing stands yet that this could follow from.");
      }
      return post({ id, fact: (fact as (view: View) => Fact)(view), after: view.facts });
    },
    onSuccess: (view) => {
      cache.setQueryData<View>(queryKey, (had) => later(had, view));
      cache.invalidateQueries({ queryKey: ["glance", visit] });
    },
    onError: (e) => (e instanceof Refused ? cache.invalidateQueries({ queryKey }) : undefined),
    meta: { quietWhenLate: true },
  });
  const waiting = useMutationState({
    filters: { mutationKey: queryKey, status: "pending" },
    select: (m) => (m.state.variables as Meant<View, Fact>).after,
  });
  return {
    view: data as View | undefined,
    problem: error?.message,
    busy: waiting.some((after) => after >= (data?.facts ?? 0)),
    refused: saying.error instanceof Refused ? saying.error.message : undefined,
    say: (fact) =>
      saying
        .mutateAsync({
          id: crypto.randomUUID(),
          fact,
          after: cache.getQueryData<View>(queryKey)?.facts ?? 0,
        })
        .then(
          () => true,
          () => false,
        ),
  };
}
