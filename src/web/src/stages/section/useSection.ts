import { useQuery } from "@tanstack/react-query";
import { api } from "../../api/client";
import { given } from "../../api/given";

/** Order of work, counts and minutes by zone, the heavier side of the part. */
export function useSection(visit: string, revision: number) {
  return useQuery({
    queryKey: ["section", visit, revision],
    placeholderData: (p) => p,
    queryFn: () => given(api.GET("/api/visits/{visit}/section", { params: { path: { visit } } })),
  }).data;
}
