import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { api, type Schemas } from "../../api/client";
import { bytes, given } from "../../api/given";
import { type Colours, type Hair, readHair } from "../../api/seen";
import type { Wiped } from "../../views/Wipe";
import { noteServerNow } from "../../visit/serverNow";
import { useFacts } from "../../visit/useFacts";

export type ToneView = Schemas["ToneView"];
export type ToneFact = Schemas["ToneFact"];
export type TonePlan = Schemas["TonePlan"];
export type ToneArea = Schemas["ToneArea"];
export type ToneAreaView = Schemas["ToneAreaView"];

export interface Toning {
  tone: ToneView | undefined;
  problem: string | undefined;
  busy: boolean;
  refused: string | undefined;
  say(fact: ToneFact): Promise<boolean>;
  /** Plans it otherwise than it stands then. */
  plan(change: (plan: TonePlan) => TonePlan): void;
  /** Changes one area. */
  change(area: number, change: Partial<ToneArea>): void;
}

/** How often another pair of hands' taps are looked for, ms. */
const looksEvery = 5000;

/** The toning, what is chosen and what happens in it. */
export function useTone(visit: string): Toning {
  const { view, ...rest } = useFacts<ToneView, ToneFact>({
    visit,
    stage: "tone",
    // While nothing works nobody is waited for; who changes the same is asked again.
    looksEvery: (view) => (view?.areas.some((a) => a.onAt && !a.offAt) ? looksEvery : 0),
    read: async () => {
      const asked = Date.now();
      const now = await given(api.GET("/api/visits/{visit}/tone", { params: { path: { visit } } }));
      noteServerNow(now.now, asked);
      return now;
    },
    post: (body) => given(api.POST("/api/visits/{visit}/tone/facts", { params: { path: { visit } }, body })),
  });
  const plan = (change: (plan: TonePlan) => TonePlan) =>
    void rest.say((now) => ({ kind: "planned", plan: change(now.plan) }));
  return {
    tone: view,
    ...rest,
    plan,
    change: (area, change) =>
      plan((now) => ({ ...now, areas: now.areas.map((a) => (a.id === area ? { ...a, ...change } : a)) })),
  };
}

/** Bowls from the shelf that come nearest to what an area is to look like. */
export function useOffers(visit: string, facts: number | undefined, area: number | undefined) {
  const { data } = useQuery({
    queryKey: ["toneOffers", visit, facts, area],
    enabled: area !== undefined,
    placeholderData: (p, q) => (q?.queryKey[3] === area ? p : undefined),
    queryFn: () =>
      given(
        api.GET("/api/visits/{visit}/tone/offers", {
          params: { path: { visit }, query: { area: area ?? 0 } },
        }),
      ),
  });
  return data ?? [];
}

const useHair = (key: readonly unknown[], url: string, enabled: boolean) =>
  useQuery<Hair>({
    queryKey: key,
    enabled,
    placeholderData: (p) => p,
    queryFn: async ({ signal }) => readHair(await bytes(url, signal)),
  }).data;

/** The head as it came out, and toned after some minutes, to be wiped against each other. */
export function useToned(
  visit: string,
  tone: ToneView | undefined,
  minutes: number | undefined,
  colours: Colours | undefined,
): { raw: Hair | undefined; wiped: Wiped | undefined } {
  const at = minutes === undefined ? "" : `?minutes=${minutes}`;
  const raw = useHair(
    ["cameOut", visit, "tone"],
    `/api/visits/${visit}/review/hair?which=cameOut`,
    tone !== undefined,
  );
  const toned = useHair(
    ["toned", visit, tone?.facts, at],
    `/api/visits/${visit}/tone/hair${at}`,
    tone !== undefined,
  );
  const wiped = useMemo(
    () => (toned && colours ? { hair: toned, colours, left: "raw", right: "toned" } : undefined),
    [toned, colours],
  );
  return { raw, wiped };
}
