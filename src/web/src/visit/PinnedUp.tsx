import { Button, Dropdown } from "antd";
import css from "./LookBar.module.css";

/** What is clipped up: words, and how the address says it. */
const ways: Record<string, [string, string]> = {
  nothing: ["Nothing pinned up", ""],
  panel: ["Above this panel", ""],
  nape: ["Nape lies open", "pinned=lowerBack,upperBack,crown,topLeft,topRight"],
  back: ["Back lies open", "pinned=crown,topLeft,topRight,fringeLeft,fringeRight"],
  ridge: [
    "All above the ridge",
    "pinned=crown,topLeft,topRight,fringeLeft,fringeRight,faceFrameLeft,faceFrameRight",
  ],
};

/** How the address of a look says what is clipped up. */
export const pinnedOf = (up: string, panel: string | undefined): string =>
  up === "panel" ? (panel ? `open=${panel}` : "") : (ways[up]?.[1] ?? "");

interface Props {
  up: string;
  onUp(up: string): void;
  /** The panel at work. */
  panel: string | undefined;
}

/** Hair clipped up, so that what lies beneath is seen as when sectioned. It changes no plan. */
export function PinnedUp({ up, onUp, panel }: Props) {
  return (
    <Dropdown
      trigger={["click"]}
      menu={{
        selectedKeys: [up],
        items: Object.entries(ways).map(([key, [label]]) => ({
          key,
          label,
          disabled: key === "panel" && !panel,
        })),
        onClick: ({ key }) => onUp(key),
      }}
    >
      <Button
        className={css.pinned}
        aria-pressed={up !== "nothing"}
        aria-label={up === "nothing" ? "Pin up" : `Pinned up: ${ways[up][0].toLowerCase()}`}
      >
        <span aria-hidden="true">Pin up</span>
      </Button>
    </Dropdown>
  );
}
