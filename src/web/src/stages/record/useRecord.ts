import { useQuery } from "@tanstack/react-query";
import { api, type Schemas } from "../../api/client";
import { bytes, given } from "../../api/given";
import { type Hair, readHair } from "../../api/seen";
import { useFacts } from "../../visit/useFacts";

export type RecordView = Schemas["RecordView"];
export type RecordFact = Schemas["RecordFact"];

/** A visit's record, and what is said when it is put away. */
export function useRecord(visit: string) {
  return useFacts<RecordView, RecordFact>({
    visit,
    stage: "record",
    read: () => given(api.GET("/api/visits/{visit}/record", { params: { path: { visit } } })),
    post: ({ id, fact }) =>
      given(
        api.POST("/api/visits/{visit}/record/facts", { params: { path: { visit } }, body: { id, fact } }),
      ),
  });
}

/** The head as it left, so many weeks later. */
export function useRecordedHair(visit: string, weeks: number): Hair | undefined {
  return useQuery<Hair>({
    queryKey: ["keptHair", visit, weeks],
    placeholderData: (p) => p,
    refetchOnMount: "always",
    queryFn: async ({ signal }) =>
      readHair(await bytes(`/api/visits/${visit}/record/hair?weeks=${weeks}`, signal)),
  }).data;
}

/** A day, as it is written in a record. */
export const day = (at: string | Date) =>
  new Date(at).toLocaleDateString(undefined, { day: "numeric", month: "long", year: "numeric" });
