import { useQuery } from "@tanstack/react-query";
import { api, type Schemas } from "../../api/client";
import { bytes, given } from "../../api/given";
import { type Hair, readHair } from "../../api/seen";
import { useFacts } from "../../visit/useFacts";

export type KeepView = Schemas["KeepView"];
export type KeepFact = Schemas["KeepFact"];

/** A visit's record, and what is said when it is put away. */
export function useKeep(visit: string) {
  return useFacts<KeepView, KeepFact>({
    visit,
    stage: "keep",
    read: () => given(api.GET("/api/visits/{visit}/keep", { params: { path: { visit } } })),
    post: ({ id, fact }) =>
      given(api.POST("/api/visits/{visit}/keep/facts", { params: { path: { visit } }, body: { id, fact } })),
  });
}

/** The head as it left, so many weeks later. */
export function useKeptHair(visit: string, weeks: number): Hair | undefined {
  return useQuery<Hair>({
    queryKey: ["keptHair", visit, weeks],
    placeholderData: (p) => p,
    refetchOnMount: "always",
    queryFn: async ({ signal }) =>
      readHair(await bytes(`/api/visits/${visit}/keep/hair?weeks=${weeks}`, signal)),
  }).data;
}

/** A day, as it is written in a record. */
export const day = (at: string | Date) =>
  new Date(at).toLocaleDateString(undefined, { day: "numeric", month: "long", year: "numeric" });
