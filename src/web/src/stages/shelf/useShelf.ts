import { useQuery } from "@tanstack/react-query";
import { api, type Schemas } from "../../api/client";
import { given } from "../../api/given";

export type StoredProduct = Schemas["StoredProduct"];
export type Product = Schemas["Product"];

/** What the studio owns. */
export function useShelf() {
  return useQuery({
    queryKey: ["shelf"],
    refetchOnMount: "always",
    queryFn: () => given(api.GET("/api/shelf")),
  });
}
