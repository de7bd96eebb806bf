import { useMutation, useQuery } from "@tanstack/react-query";
import { Alert, Button, Input, Modal, Segmented, Spin } from "antd";
import { useEffect, useState } from "react";
import { Link, useNavigate } from "react-router";
import { api, type HairProfile, type Schemas } from "../../api/client";
import { given } from "../../api/given";
import { glanceOf } from "../../api/glance";
import { MainNav } from "../../shell/MainNav";
import parts from "../../style/parts.module.css";
import { Line } from "../../views/Choice";
import { Num } from "../../views/Num";
import { hairWords } from "../../views/words";
import css from "./Day.module.css";
import { FindClient } from "./FindClient";
import { HouseRules } from "./HouseRules";

/** Home is the day: its visits in time order, each head as it is and as planned. */
export function Day() {
  const { data, error, isPending } = useQuery({
    queryKey: ["day"],
    queryFn: () => given(api.GET("/api/day")),
    refetchOnMount: "always",
  });
  const [open, setOpen] = useState(false);
  // One head after another: each is made once, and the first is there soonest.
  const [turn, setTurn] = useState(0);
  useEffect(() => {
    document.title = "Wendro";
  }, []);
  const today = new Date().toLocaleDateString(undefined, { weekday: "long", day: "numeric", month: "long" });
  return (
    <main className={parts.day}>
      <header>
        <div>
          <h1>{today}</h1>
          <p>{data ? (data.length === 1 ? "One visit" : `${data.length} visits`) : " "}</p>
        </div>
        <div className={parts.row}>
          <MainNav />
          <HouseRules />
        </div>
      </header>
      <div className={css.who}>
        <FindClient />
        <Button type="primary" size="large" onClick={() => setOpen(true)}>
          New client
        </Button>
      </div>
      {isPending && <Spin size="large" />}
      {error && <Alert type="error" title="The day can't be shown" description={error.message} />}
      {data?.length === 0 && (
        <p className={parts.calm}>Nobody is booked today. A new client is one tap and one name.</p>
      )}
      <ol className={css.visits}>
        {data?.map((v, i) => (
          <li key={v.visitId}>
            <Link to={`/visits/${v.visitId}/paint`} className={css.visit}>
              <time>
                {new Date(v.startsAt).toLocaleTimeString([], {
                  hour: "2-digit",
                  hourCycle: "h23",
                  minute: "2-digit",
                })}
              </time>
              <span className={css.heads}>
                {i <= turn &&
                  [
                    { moment: "before", as: "as it is" },
                    { moment: "rinsed", as: "as planned" },
                  ].map((p) => (
                    <img
                      key={p.moment}
                      alt={`${v.client} ${p.as}`}
                      src={
                        `/api/visits/${v.visitId}/plan/picture` +
                        `?angle=30&moment=${p.moment}&toned=${p.moment === "rinsed"}&width=150&r=${v.revision}`
                      }
                      width="150"
                      height="185"
                    />
                  ))}
              </span>
              <span className={css.about}>
                <strong>{v.client}</strong>
                <span>{v.about}</span>
                <span className={parts.soft}>{hairWords(v.hair)}</span>
                <AtAGlance
                  visit={v.visitId}
                  revision={v.revision}
                  go={i <= turn}
                  done={() => setTurn((t) => Math.max(t, i + 1))}
                />
              </span>
            </Link>
          </li>
        ))}
      </ol>
      <p className={parts.care} role="note">
        Wendro plans, it does not certify. The product's leaflet, local rules and a licensed professional's
        judgement come first. Patch test 48 hours before.
      </p>
      <NewClient open={open} close={() => setOpen(false)} />
    </main>
  );
}

function AtAGlance({
  visit,
  revision,
  go,
  done,
}: {
  visit: string;
  revision: number;
  go: boolean;
  done(): void;
}) {
  const { data, isFetched } = useQuery({
    ...glanceOf(visit, revision, true),
    enabled: go,
    // Who is in the chair is looked after.
    refetchInterval: (query) => (query.state.data?.chair ? 15_000 : false),
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: said once, when it has come
  useEffect(() => {
    if (isFetched) {
      done();
    }
  }, [isFetched]);
  if (!data) {
    return <span className={parts.soft}>Loading…</span>;
  }
  return (
    <>
      <span className={parts.soft}>
        {data.painted} of {data.panels} panels painted
        {data.minutes > 0 &&
          ` · ${data.minutes.toFixed(0)} min of mixing and painting${
            data.chairMinutes == null ? "" : `, ${data.chairMinutes.toFixed(0)} in the chair`
          }`}
      </span>
      {data.chair && (
        <span className={css.chair}>
          In the chair · {data.chair.painted} painted, {data.chair.waiting} to go
          {data.chair.dueAt &&
            ` · ${data.chair.due?.toLowerCase()} ${new Date(data.chair.dueAt).toLocaleTimeString("en-GB", {
              hour: "2-digit",
              minute: "2-digit",
            })}`}
        </span>
      )}
      {data.missing.map((m) => (
        <span key={m} className={css.missing}>
          <i aria-hidden="true" /> {m}
        </span>
      ))}
    </>
  );
}

function NewClient({ open, close }: { open: boolean; close(): void }) {
  const [name, setName] = useState("");
  const usual = useQuery({
    queryKey: ["usualHair"],
    queryFn: () => given(api.GET("/api/usual-hair")),
    enabled: open,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const [told, setHair] = useState<HairProfile>();
  const hair = told ?? usual.data;
  const go = useNavigate();
  const make = useMutation({
    mutationFn: () =>
      given(api.POST("/api/clients", { body: { name, about: null, hair: told ?? null, startsAt: null } })),
    onSuccess: (made) => go(`/visits/${made.visitId}/consult`),
  });
  return (
    <Modal
      title="New client"
      open={open}
      onCancel={close}
      okText="Begin"
      okButtonProps={{ disabled: name.trim() === "", loading: make.isPending }}
      onOk={() => make.mutate()}
      destroyOnHidden
    >
      <div className={parts.newclient}>
        <Input
          aria-label="Name"
          placeholder="Client's name"
          autoFocus
          size="large"
          maxLength={100}
          value={name}
          onChange={(e) => setName(e.target.value)}
          onPressEnter={() => name.trim() && make.mutate()}
        />
        <p className={parts.soft}>A name is enough. The hair can be described now or in Consult:</p>
        {hair && (
          <>
            <Num
              draft
              name="Natural level"
              min={1}
              max={10}
              step={0.5}
              value={hair.naturalLevel}
              onSet={(naturalLevel) => setHair({ ...hair, naturalLevel })}
            />
            <Num
              draft
              name="Crown to hem"
              unit="cm"
              min={16}
              max={75}
              step={1}
              value={hair.cut.hemCm}
              onSet={(hemCm) => setHair({ ...hair, cut: { ...hair.cut, hemCm } })}
            />
            <Line name="Strand">
              <Segmented
                aria-label="Strand"
                value={hair.diameter}
                options={["fine", "medium", "coarse"]}
                onChange={(v) => setHair({ ...hair, diameter: v as Schemas["Diameter"] })}
              />
            </Line>
            <Line name="Density">
              <Segmented
                aria-label="Density"
                value={hair.density}
                options={["low", "medium", "high"]}
                onChange={(v) => setHair({ ...hair, density: v as Schemas["Density"] })}
              />
            </Line>
            <Line name="Porosity">
              <Segmented
                aria-label="Porosity"
                value={hair.porosity}
                options={[
                  { value: "low", label: "slowly" },
                  { value: "normal", label: "normally" },
                  { value: "high", label: "fast" },
                ]}
                onChange={(v) => setHair({ ...hair, porosity: v as Schemas["Porosity"] })}
              />
            </Line>
          </>
        )}
      </div>
    </Modal>
  );
}
