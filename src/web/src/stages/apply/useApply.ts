import { api, type Schemas } from "../../api/client";
import { given } from "../../api/given";
import { noteServerNow } from "../../visit/serverNow";
import { useFacts } from "../../visit/useFacts";

export type ApplyView = Schemas["ApplyView"];
export type ServiceFact = Schemas["ServiceFact"];
export type Due = Schemas["Due"];

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

/** The service, and what happens in it. */
export function useApply(visit: string): Chair {
  const { view, say, ...rest } = useFacts<ApplyView, ServiceFact>({
    visit,
    stage: "apply",
    looksEvery: () => looksEvery,
    read: async () => {
      const asked = Date.now();
      const now = await given(api.GET("/api/visits/{visit}/apply", { params: { path: { visit } } }));
      noteServerNow(now.now, asked);
      return now;
    },
    post: (body) => given(api.POST("/api/visits/{visit}/apply/facts", { params: { path: { visit } }, body })),
  });
  return { service: view, tell: say, ...rest };
}
