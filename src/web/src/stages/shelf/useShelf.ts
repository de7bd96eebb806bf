import { useQuery } from "@tanstack/react-query";
import { api, type Schemas, wordsOf } from "../../api/client";

export type StoredProduct = Schemas["StoredProduct"];
export type Product = Schemas["Product"];
export type LightenerProduct = Schemas["ProductLightenerProduct"];

/** Products of one kind. */
export const ofKind = <K extends Product["kind"]>(shelf: StoredProduct[] | undefined, kind: K) =>
  (shelf ?? []).map((p) => p.product).filter((p): p is Extract<Product, { kind?: K }> => p.kind === kind);

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
