import { useQuery } from "@tanstack/react-query";
import { Button } from "antd";
import { useNavigate } from "react-router";
import { api } from "../../api/client";
import { given } from "../../api/given";
import parts from "../../style/parts.module.css";
import { useVisit } from "../../visit/useVisit";

/** The patterns that lay out what is advised, one tap from here; those that don't suit this client are left away. */
export function AdvisedPatterns({ advised }: { advised: string[] }) {
  const { visit, work } = useVisit();
  const navigate = useNavigate();
  const { data } = useQuery({
    queryKey: ["patterns", visit, work.plan.revision],
    queryFn: () => given(api.GET("/api/visits/{visit}/patterns", { params: { path: { visit } } })),
  });
  const fitting = advised
    .map((id) => data?.find((p) => p.id === id))
    .filter((p) => p !== undefined && p.against === null)
    .slice(0, 3);
  return (
    <div className={parts.row} role="group" aria-label="Patterns that fit" style={{ marginBlock: 8 }}>
      {fitting.map(
        (p) =>
          p && (
            <Button
              key={p.id}
              title={p.for}
              aria-label={`Start from ${p.name}`}
              onClick={async () => {
                if (await work.edit(p.edit)) {
                  navigate(`/visits/${visit}/section`);
                }
              }}
            >
              {p.name}
            </Button>
          ),
      )}
    </div>
  );
}
