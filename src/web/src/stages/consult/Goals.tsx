import { useQuery } from "@tanstack/react-query";
import { Button, Popover, Segmented, Slider } from "antd";
import type { PlanEdit, Schemas } from "../../api/client";
import { posted } from "../../api/given";
import { fetchColours, readHair } from "../../api/seen";
import type { Wiped } from "../../views/Wipe";
import css from "./Goals.module.css";

export type Goal = Schemas["Goal"];

/** Her head as a wish would have it, coloured by the wished tone. */
export function useLook(visit: string, wish: Goal | undefined, hairKey: string): Wiped | undefined {
  return useQuery<Wiped>({
    queryKey: ["look", visit, hairKey, JSON.stringify(wish)],
    enabled: wish !== undefined,
    gcTime: 0,
    placeholderData: (p) => p,
    queryFn: async ({ signal }) => {
      const answer = await posted(`/api/visits/${visit}/consult/look/hair`, { wish }, signal);
      const [hair, colours] = await Promise.all([answer.arrayBuffer(), fetchColours(wish?.tone ?? 0)]);
      return { hair: readHair(hair), colours, left: "As it is", right: "As wanted" };
    },
  }).data;
}

interface Props {
  wish: Goal;
  /** How much lower mids lie where nothing is said of them, levels. */
  midsBelow: number;
  /** While a slider moves: the head moves with it, nothing is stored. */
  onTry(wish: Goal | undefined): void;
  edit(edit: PlanEdit): Promise<boolean>;
}

const toneWords = (t: number) => (t < -0.3 ? "cool" : t > 0.3 ? "warm" : "neutral");
const softWords = (s: number) =>
  s <= 0.4 ? "melts away" : s <= 0.6 ? "soft" : s <= 1 ? "visible" : "a line";

/** What she wants, as a look that can be recognised: every slider moves the head. */
export function Goals({ wish, midsBelow, onTry, edit }: Props) {
  const mids = wish.midsLevel ?? wish.endsLevel - midsBelow;
  const set = async (change: Partial<Goal>) => {
    await edit({ kind: "setWish", wish: { ...wish, ...change } });
    onTry(undefined);
  };
  const slider = (
    label: string,
    value: number,
    [min, max, step]: [number, number, number],
    words: string,
    change: (v: number) => Partial<Goal>,
  ) => (
    <div className={css.wish}>
      <span>{label}</span>
      <Slider
        min={min}
        max={max}
        step={step}
        value={value}
        tooltip={{ open: false }}
        onChange={(v) => onTry({ ...wish, ...change(v) })}
        onChangeComplete={(v) => set(change(v))}
        ariaLabelForHandle={label}
        ariaValueTextFormatterForHandle={() => words}
      />
      <b>{words}</b>
    </div>
  );
  return (
    <fieldset className={css.wishes} aria-label="Wish">
      {slider("Ends", wish.endsLevel, [1, 10, 0.5], `level ${wish.endsLevel}`, (endsLevel) => ({
        endsLevel,
      }))}
      {slider("Face", wish.faceFrameLift, [0, 3, 0.5], `+${wish.faceFrameLift.toFixed(1)}`, (v) => ({
        faceFrameLift: v,
      }))}
      <Popover
        trigger="click"
        placement="rightBottom"
        content={
          <fieldset className={`${css.wishes} ${css.more}`} aria-label="More of the wish">
            {slider("Mids", mids, [1, 10, 0.5], `level ${mids.toFixed(1)}`, (midsLevel) => ({
              midsLevel,
            }))}
            <div className={css.wish}>
              <span>Light</span>
              <Slider
                range
                min={0}
                max={100}
                step={5}
                value={[Math.round(wish.lightShareLow * 100), Math.round(wish.lightShareHigh * 100)]}
                tooltip={{ open: false }}
                ariaLabelForHandle={["Least light", "Most light"]}
                onChange={([a, b]) => onTry({ ...wish, lightShareLow: a / 100, lightShareHigh: b / 100 })}
                onChangeComplete={([a, b]) => set({ lightShareLow: a / 100, lightShareHigh: b / 100 })}
              />
              <b>
                {Math.round(wish.lightShareLow * 100)}–{Math.round(wish.lightShareHigh * 100)} %
              </b>
            </div>
            {slider("Roots", wish.rootSoftness, [0.2, 1.6, 0.1], softWords(wish.rootSoftness), (v) => ({
              rootSoftness: Number(v.toFixed(1)),
            }))}
            {slider("Tone", wish.tone, [-1, 1, 0.1], toneWords(wish.tone), (v) => ({
              tone: Number(v.toFixed(1)),
            }))}
            <Segmented
              block
              aria-label="Underneath"
              value={wish.underneath ? "all" : "top"}
              options={[
                { value: "all", label: "bright underneath, too" },
                { value: "top", label: "only on top" },
              ]}
              onChange={(v) => set({ underneath: v === "all" })}
            />
          </fieldset>
        }
      >
        <Button type="text">More of the look…</Button>
      </Popover>
    </fieldset>
  );
}
