import { api } from "./client";
import { given } from "./given";

/** A visit at a glance: what is painted, what is missing, how long it takes, which stages have had their work done. */
export const glanceOf = (visit: string, revision: number) => ({
  queryKey: ["glance", visit, revision],
  placeholderData: <T>(before: T) => before,
  queryFn: () => given(api.GET("/api/visits/{visit}/glance", { params: { path: { visit } } })),
});
