import { MutationCache, QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { App } from "antd";
import { type ReactNode, useEffect, useState } from "react";
import { Refused, raw, Unreachable } from "../api/given";
import { useReached } from "../api/reached";
import css from "./Queries.module.css";

const knockEveryMs = 1500;

/** How what a mutation was refused is told: by itself at its fields, or not at all when another window was first. */
declare module "@tanstack/react-query" {
  interface Register {
    mutationMeta: { fields?: boolean; quietWhenLate?: boolean };
  }
}

/** Everything asked of the server goes through here: what was refused is said in one place. */
export function Queries({ children }: { children: ReactNode }) {
  const { message } = App.useApp();
  const [client] = useState(
    () =>
      new QueryClient({
        defaultOptions: {
          queries: {
            networkMode: "always",
            refetchOnWindowFocus: false,
            retry: (times, error) => !(error instanceof Refused) && times < 1,
          },
          mutations: { networkMode: "always" },
        },
        mutationCache: new MutationCache({
          onError: (error, _variables, _before, mutation) => {
            const refused = error instanceof Refused ? error : undefined;
            const atFields = mutation.meta?.fields && refused && Object.keys(refused.fields).length > 0;
            const late = mutation.meta?.quietWhenLate && refused?.status === 409;
            if (!(error instanceof Unreachable) && !atFields && !late) {
              message.error(error.message);
            }
          },
        }),
      }),
  );
  return (
    <QueryClientProvider client={client}>
      <Away onBack={() => client.invalidateQueries({ predicate: (q) => q.state.status === "error" })} />
      {children}
    </QueryClientProvider>
  );
}

/** Told once while the server is away; it goes when it is back, and what failed meanwhile is asked for again. */
function Away({ onBack }: { onBack(): void }) {
  const there = useReached();
  // biome-ignore lint/correctness/useExhaustiveDependencies: knocks from when it is gone until it is back
  useEffect(() => {
    if (there) {
      return;
    }
    const knocking = setInterval(
      () =>
        raw("/api/health")
          .then(onBack)
          .catch(() => undefined),
      knockEveryMs,
    );
    return () => clearInterval(knocking);
  }, [there]);
  return there ? null : (
    <p className={css.away} role="alert">
      The server does not answer. Nothing that was saved is lost; what was just tried was not saved.
    </p>
  );
}
