import { Button, Dropdown, Popover } from "antd";
import { useState } from "react";
import type { PanelView, PlanEdit, PlanView, Schemas } from "../../api/client";
import parts from "../../style/parts.module.css";
import { NumberField } from "../../views/NumberField";
import { zoneWords } from "../../views/words";

interface Props {
  plan: PlanView;
  panel: PanelView;
  picked: string[];
  edit(edit: PlanEdit): Promise<boolean>;
}

interface Move {
  key: string;
  words: string;
  /** What it asks for, cm or mm, with a value to start from. */
  asks?: { name: string; value: number; min: number; max: number; unit: string }[];
  make(values: number[]): PlanEdit;
}

/** What contouring does by the shape of the face. */
const faces: [Schemas["FaceShape"], string][] = [
  ["round", "depth beside the cheeks"],
  ["square", "depth at the jaw"],
  ["long", "light beside the cheeks"],
  ["heart", "light at the jaw"],
];

const cm = (name: string, value: number, min = 0.5, max = 40) => ({ name, value, min, max, unit: "cm" });

function movesOf(plan: PlanView, panel: PanelView, picked: string[]): Move[] {
  const zone = zoneWords(panel.zone).toLowerCase();
  const painted = plan.panels.filter((p) => p.paint).map((p) => p.key);
  const zoneKeys = plan.panels.filter((p) => p.zone === panel.zone && p.paint).map((p) => p.key);
  const some = picked.length > 1 ? picked : zoneKeys;
  const where = picked.length > 1 ? "the picked panels" : zone;
  const marked = (kind: Schemas["MarkKind"]) => plan.hair.marked?.some((m) => m.kind === kind) === true;
  const old = plan.hair.history?.some((b) => b.state === "lightened");
  const moves: Move[] = [
    {
      key: "spread",
      words: `Spread heights, ${where}`,
      asks: [cm("by up to", 1.5, 0, 6)],
      make: ([spreadCm]) => ({ kind: "spreadHeights", panels: some, spreadCm }),
    },
    {
      key: "alternate",
      words: `Alternate high and low, ${where}`,
      asks: [cm("high", 5), cm("low", 9)],
      make: ([highCm, lowCm]) => ({ kind: "alternatePanels", panels: some, highCm, lowCm }),
    },
    {
      key: "rows",
      words: `Alternate rows, ${zone}`,
      asks: [cm("high", 5), cm("low", 9)],
      make: ([highCm, lowCm]) => ({ kind: "alternateRows", zone: panel.zone, highCm, lowCm }),
    },
    {
      key: "taper",
      words: "Taper front to back, whole head",
      asks: [cm("front", 5), cm("back", 11)],
      make: ([frontCm, backCm]) => ({ kind: "taper", frontCm, backCm }),
    },
    {
      key: "raise",
      words: "Raise the face frame",
      asks: [cm("by", 1, 0.1, 20)],
      make: ([byCm]) => ({ kind: "raiseFaceFrame", byCm }),
    },
    {
      key: "drop",
      words: "Drop the crown",
      asks: [cm("by", 2, 0.1, 20)],
      make: ([byCm]) => ({ kind: "dropCrown", byCm }),
    },
    {
      key: "thin",
      words: "Thin the hairline panels",
      asks: [{ name: "to", value: 7, min: 4, max: 40, unit: "mm" }],
      make: ([thicknessMm]) => ({ kind: "thinHairline", thicknessMm }),
    },
    {
      key: "partLeft",
      words: "Match the part: right as left",
      make: () => ({ kind: "matchPart", from: "left" }),
    },
    {
      key: "partRight",
      words: "Match the part: left as right",
      make: () => ({ kind: "matchPart", from: "right" }),
    },
    {
      key: "mirrorLeft",
      words: "Mirror left to right",
      make: () => ({ kind: "mirrorSide", from: "left" }),
    },
    {
      key: "mirrorRight",
      words: "Mirror right to left",
      make: () => ({ kind: "mirrorSide", from: "right" }),
    },
    {
      key: "baby",
      words: "Skip baby hair",
      asks: [cm("along the hairline", 0.5, 0.2, 1.5)],
      make: ([sizeCm]) => ({ kind: "leaveOut", region: "babyHair", sizeCm, reason: "baby hair", by: "hand" }),
    },
    ...(marked("oldDark")
      ? ([
          {
            key: "dark",
            words: "Paint only the dark pieces",
            make: () => ({ kind: "onlyDarkPieces", mirrored: false }),
          },
        ] as Move[])
      : []),
    ...(marked("oldLight")
      ? ([
          {
            key: "followMirrored",
            words: "Follow the old pieces, mirrored",
            make: () => ({ kind: "followOldPieces", mirrored: true }),
          },
          ...plan.plan.formulas
            .filter((f) => f.depositLevel != null)
            .map((f) => ({
              key: `soften${f.id}`,
              words: `Soften the old pieces with ${f.id}`,
              make: () => ({ kind: "softenOldPieces", formula: f.id }),
            })),
        ] as Move[])
      : []),
    ...faces.map(
      ([face, does]): Move => ({
        key: `contour ${face}`,
        words: `Contour a ${face} face: ${does}`,
        make: () => ({ kind: "contour", face }),
      }),
    ),
    ...(old || marked("oldLight")
      ? ([
          {
            key: "follow",
            words: "Follow the old pieces",
            make: () => ({ kind: "followOldPieces", mirrored: false }),
          },
          { key: "touch", words: "Touch up only the regrowth", make: () => ({ kind: "touchUpRegrowth" }) },
        ] as Move[])
      : []),
    { key: "bare", words: `Leave ${zone} natural`, make: () => ({ kind: "clearZone", zone: panel.zone }) },
  ];
  return moves.filter((m) => painted.length > 0 || m.key === "thin" || m.key === "baby");
}

/** What an artist says in one sentence: over the picked panels, the zone or the whole head; each undone in one step. */
export function Moves({ plan, panel, picked, edit }: Props) {
  const moves = movesOf(plan, panel, picked);
  const [asked, setAsked] = useState<Move>();
  const [values, setValues] = useState<number[]>([]);
  return (
    <Popover
      open={asked !== undefined}
      onOpenChange={(o) => !o && setAsked(undefined)}
      trigger="click"
      content={
        asked?.asks && (
          <div className={parts.move} role="group" aria-label={asked.words}>
            <strong>{asked.words}</strong>
            {asked.asks.map((a, i) => (
              <NumberField
                draft
                key={a.name}
                label={a.name}
                prefix={a.name}
                unit={a.unit}
                min={a.min}
                max={a.max}
                step={0.5}
                value={values[i]}
                onSet={(v) => setValues((all) => all.map((x, j) => (j === i ? v : x)))}
              />
            ))}
            <Button
              type="primary"
              onClick={async () => {
                if (await edit(asked.make(values))) {
                  setAsked(undefined);
                }
              }}
            >
              Do it
            </Button>
          </div>
        )
      }
    >
      <Dropdown
        trigger={["click"]}
        menu={{
          items: moves.map((m) => ({ key: m.key, label: m.asks ? `${m.words}…` : m.words })),
          onClick: ({ key }) => {
            const move = moves.find((m) => m.key === key);
            if (move?.asks) {
              setValues(move.asks.map((a) => a.value));
              setAsked(move);
            } else if (move) {
              edit(move.make([]));
            }
          },
        }}
      >
        <Button className={parts.wide}>Whole-head moves…</Button>
      </Dropdown>
    </Popover>
  );
}
