import { useQuery } from "@tanstack/react-query";
import { api, wordsOf } from "../../api/client";

/** Order of work, counts and minutes by zone, the heavier side of the part. */
export function useSection(visit: string, revision: number) {
  return useQuery({
    queryKey: ["section", visit, revision],
    placeholderData: (p) => p,
    queryFn: async () => {
      const { data, error } = await api.GET("/api/visits/{visit}/section", { params: { path: { visit } } });
      if (!data) {
        throw new Error(wordsOf(error));
      }
      return data;
    },
  }).data;
}
