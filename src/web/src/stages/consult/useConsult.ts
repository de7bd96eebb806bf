import { useIsMutating, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, type HairProfile, type Schemas } from "../../api/client";
import { fieldsOf, given, Refused } from "../../api/given";

export type ConsultView = Schemas["ConsultView"];
export type Consultation = Schemas["Consultation"];

export interface Consult {
  view: ConsultView;
  /** What can't be taken, by field; what was typed stays until it can. */
  errors: Record<string, string>;
  busy: boolean;
  setHair(change: Partial<HairProfile>): void;
  answer(change: Partial<Consultation>): void;
}

interface Told {
  hair?: Partial<HairProfile>;
  answers?: Partial<Consultation>;
}

/**
 * Hair and answers of a visit in this window: changes go out one after another, the last state
 * acknowledged is shown.
 */
export function useConsult(visit: string, changed: () => void): Consult | undefined {
  const cache = useQueryClient();
  const key = ["consult", visit];
  const { data } = useQuery({
    queryKey: key,
    queryFn: () => given(api.GET("/api/visits/{visit}/consult", { params: { path: { visit } } })),
  });
  const { mutate, error } = useMutation({
    mutationKey: key,
    scope: { id: `consult ${visit}` },
    meta: { fields: true },
    mutationFn: async ({ hair, answers }: Told) => {
      const now = cache.getQueryData<ConsultView>(key);
      if (!now) {
        return undefined;
      }
      return await given(
        api.PUT("/api/visits/{visit}/consult", {
          params: { path: { visit } },
          body: {
            baseVersion: now.version,
            hair: { ...now.hair, ...hair },
            consultation: { ...now.consultation, ...answers },
          },
        }),
      );
    },
    onSuccess: (taken) => {
      if (taken) {
        cache.setQueryData(key, taken);
        cache.invalidateQueries({ queryKey: ["glance", visit] });
        changed();
      }
    },
    onError: (e) =>
      e instanceof Refused && e.status === 409 ? cache.invalidateQueries({ queryKey: key }) : undefined,
  });
  const waiting = useIsMutating({ mutationKey: key });
  return data
    ? {
        view: data,
        errors: fieldsOf(error, /^(hair|consultation)\./),
        busy: waiting > 0,
        setHair: (hair) => mutate({ hair }),
        answer: (answers) => mutate({ answers }),
      }
    : undefined;
}
