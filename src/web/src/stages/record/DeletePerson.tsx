import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Input, Modal, Select } from "antd";
import { useState } from "react";
import { api } from "../../api/client";
import { given } from "../../api/given";

/** Deletes a person with everything; her name is typed, so that nobody goes by a slip of a finger. */
export function DeletePerson() {
  const cache = useQueryClient();
  const [who, setWho] = useState<string>();
  const [asking, setAsking] = useState(false);
  const [typed, setTyped] = useState("");
  const { data } = useQuery({
    queryKey: ["clients"],
    queryFn: () => given(api.GET("/api/clients")),
    refetchOnMount: "always",
  });
  const gone = useMutation({
    mutationFn: (client: string) =>
      given(api.DELETE("/api/clients/{client}", { params: { path: { client } } })),
    onSuccess: () => {
      setWho(undefined);
      cache.invalidateQueries();
    },
    onSettled: () => setAsking(false),
  });
  const client = data?.find((c) => c.id === who);
  return (
    <section aria-labelledby="forget">
      <h2 id="forget">Delete a person</h2>
      <p>
        With visits, plans, what happened and photographs; nothing of it is left in the data here. Archives
        and backups that were saved elsewhere still hold it.
      </p>
      <Select
        aria-label="Whom"
        style={{ width: "100%" }}
        showSearch={{ optionFilterProp: "label" }}
        placeholder="Whom"
        value={who}
        onChange={setWho}
        options={data?.map((c) => ({ value: c.id, label: c.name }))}
      />
      <Button
        size="large"
        danger
        disabled={!client}
        onClick={() => {
          setTyped("");
          setAsking(true);
        }}
      >
        Delete with everything…
      </Button>
      {gone.data && (
        <p role="status">
          {gone.data.name} is deleted: {gone.data.visits} {gone.data.visits === 1 ? "visit" : "visits"},{" "}
          {gone.data.photographs} {gone.data.photographs === 1 ? "photograph" : "photographs"}.
          {gone.data.copies > 0 && ` Kept copies of the data from before are gone, too: ${gone.data.copies}.`}
          {!gone.data.isOverwritten && " What that freed is overwritten when Wendro is closed."}
        </p>
      )}
      {gone.error && <p role="alert">{gone.error.message}</p>}
      <Modal
        open={asking && client !== undefined}
        title={`Delete ${client?.name} with everything?`}
        onCancel={() => setAsking(false)}
        footer={[
          <Button key="not" onClick={() => setAsking(false)}>
            Not now
          </Button>,
          <Button
            key="delete"
            danger
            type="primary"
            disabled={typed.trim() !== client?.name || gone.isPending}
            onClick={() => who && gone.mutate(who)}
          >
            Delete
          </Button>,
        ]}
      >
        <p>It can't be undone. Type the name to go on.</p>
        <Input aria-label="The name" value={typed} onChange={(e) => setTyped(e.target.value)} />
      </Modal>
    </section>
  );
}
