import { useQuery } from "@tanstack/react-query";
import { api, type Schemas, wordsOf } from "../../api/client";

export type StoredProduct = Schemas["StoredProduct"];
export type Product = Schemas["Product"];

/** What the studio owns. */
export function useShelf() {
  return useQuery({
    queryKey: ["shelf"],
    refetchOnMount: "always",
    queryFn: async () => {
      const answer = await api.GET("/api/shelf");
      if (!answer.data) {
        throw new Error(wordsOf(answer.error));
      }
      return answer.data;
    },
  });
}
