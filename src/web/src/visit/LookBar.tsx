import { useQuery } from "@tanstack/react-query";
import { Button, Dropdown } from "antd";
import { useMemo } from "react";
import { bytes } from "../api/given";
import { type Colours, readHair } from "../api/seen";
import { longestMinutes, type MomentKey, momentWords, type Work } from "../api/usePlan";
import parts from "../style/parts.module.css";
import { type Mode, modeWords } from "../views/modes";
import type { Wiped } from "../views/Wipe";
import css from "./LookBar.module.css";

/** What the head is held against. */
export type Against =
  | { moment: MomentKey }
  | { revision: number }
  | { proposal: number; name: string }
  | { toner: "before" | "after" };

export interface Comparing {
  against: Against;
  side: boolean;
}

const wordsOf = (a: Against) =>
  "moment" in a
    ? momentWords(a.moment)
    : "revision" in a
      ? `revision ${a.revision}`
      : "toner" in a
        ? `${a.toner} toner`
        : a.name;

/** The other state of the head, to be wiped across or set beside it. */
export function useAgainst(
  visit: string,
  revision: number,
  moment: MomentKey,
  comparing: Comparing | undefined,
  coloursAt: (moment: MomentKey, raw?: boolean) => Colours | undefined,
): { wiped: Wiped | undefined; problem: string | undefined } {
  const against = comparing?.against;
  const address = !against
    ? undefined
    : "moment" in against
      ? `hair?moment=${against.moment}`
      : "revision" in against
        ? `hair?revision=${against.revision}&moment=${moment}`
        : "toner" in against
          ? `hair?moment=${moment}`
          : `proposals/${against.proposal}/hair`;
  const colours = !against
    ? undefined
    : "toner" in against
      ? coloursAt(moment, against.toner === "before")
      : coloursAt("moment" in against ? against.moment : moment);
  const { data, error } = useQuery({
    queryKey: ["against", visit, revision, address],
    enabled: address !== undefined,
    queryFn: async ({ signal }) => readHair(await bytes(`/api/visits/${visit}/plan/${address}`, signal)),
    retry: false,
    placeholderData: (p) => p,
  });
  const wiped = useMemo(
    () =>
      data && against && colours
        ? { hair: data, colours, left: `this plan, ${momentWords(moment)}`, right: wordsOf(against) }
        : undefined,
    [data, against, colours, moment],
  );
  return { wiped, problem: against && error ? error.message : undefined };
}

interface Props {
  work: Work;
  /** Whether the rinsed head is shown before toner. */
  raw: boolean;
  onRaw(raw: boolean): void;
  mode: Mode;
  onMode(mode: Mode): void;
  comparing: Comparing | undefined;
  onCompare(c: Comparing | undefined): void;
  /** Why it can't be held against that. */
  problem: string | undefined;
}

/** What the colours stand for, and what the head is held against. */
export function LookBar({ work, raw, onRaw, mode, onMode, comparing, onCompare, problem }: Props) {
  const longest = longestMinutes(work.plan);
  const moments: MomentKey[] = ["before", Math.round(longest / 2), "rinsed", "6w", "12w", "20w"];
  const before = work.revision > 1 ? [work.revision - 1] : [];
  const rinsed = typeof work.moment !== "number" && work.moment !== "before";
  const shown = mode !== "hair" ? modeWords[mode] : raw ? "Raw" : "Toned";
  const items = [
    ...(rinsed && mode === "hair" ? [{ key: "t", label: raw ? "after toner" : "before toner" }] : []),
    ...moments.filter((m) => m !== work.moment).map((m) => ({ key: `m${m}`, label: momentWords(m) })),
    ...before.map((r) => ({ key: `r${r}`, label: "the plan before the last change" })),
    ...(work.revision > 2 ? [{ key: "r1", label: "the plan as it began" }] : []),
  ];
  const pick = (key: string): Against => {
    const rest = key.slice(1);
    if (key === "t") {
      return { toner: raw ? "after" : "before" };
    }
    return key[0] === "r"
      ? { revision: Number(rest) }
      : { moment: (/^\d+$/.test(rest) ? Number(rest) : rest) as MomentKey };
  };
  return (
    <div className={`${parts.row} ${css.lookBar}`} role="group" aria-label="How it is shown">
      <Dropdown
        trigger={["click"]}
        menu={{
          selectedKeys: [mode === "hair" && raw ? "raw" : mode],
          // Hair as it will be once toned, or raw as it is rinsed: one list with what else colours can stand for.
          items: (Object.keys(modeWords) as Mode[]).flatMap((m) =>
            m === "hair"
              ? [
                  { key: "hair", label: "As hair, toned" },
                  { key: "raw", label: "As hair, raw" },
                ]
              : [{ key: m, label: modeWords[m] }],
          ),
          onClick: ({ key }) => {
            if (key === "hair" || key === "raw") {
              onRaw(key === "raw");
            }
            onMode(key === "raw" ? "hair" : (key as Mode));
          },
        }}
      >
        <Button aria-label={`Colours: ${shown}`}>{shown} ▾</Button>
      </Dropdown>
      {comparing ? (
        <>
          <Button onClick={() => onCompare({ ...comparing, side: !comparing.side })}>
            {comparing.side ? "Wipe" : "Side by side"}
          </Button>
          <Button onClick={() => onCompare(undefined)}>End comparing</Button>
          {problem && <p role="alert">{problem}</p>}
        </>
      ) : (
        <Dropdown
          trigger={["click"]}
          menu={{ items, onClick: ({ key }) => onCompare({ against: pick(key), side: false }) }}
        >
          <Button>Compare with… ▾</Button>
        </Dropdown>
      )}
    </div>
  );
}
