import { useMutation } from "@tanstack/react-query";
import { Button } from "antd";
import { useNavigate } from "react-router";
import { api, type Schemas } from "../../api/client";
import { given } from "../../api/given";
import parts from "../../style/parts.module.css";
import { useVisit } from "../../visit/useVisit";

/** The patterns that lay out what is advised and suit this client, one tap from here: fitted when one is tapped. */
export function AdvisedPatterns({ advised }: { advised: Schemas["AdvisedPattern"][] }) {
  const { visit, work } = useVisit();
  const navigate = useNavigate();
  const use = useMutation({
    mutationFn: async (id: string) => {
      const all = await given(api.GET("/api/visits/{visit}/patterns", { params: { path: { visit } } }));
      const edit = all.find((p) => p.id === id)?.edit;
      return edit !== undefined && (await work.edit(edit));
    },
    onSuccess: (laid) => {
      if (laid) {
        navigate(`/visits/${visit}/section`);
      }
    },
  });
  return (
    <div className={parts.row} role="group" aria-label="Patterns that fit" style={{ marginBlock: 8 }}>
      {advised.map((p) => (
        <Button
          key={p.id}
          title={p.for}
          aria-label={`Start from ${p.name}`}
          loading={use.isPending && use.variables === p.id}
          disabled={use.isPending}
          onClick={() => use.mutate(p.id)}
        >
          {p.name}
        </Button>
      ))}
    </div>
  );
}
