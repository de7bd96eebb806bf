import { Button } from "antd";
import type { Wear } from "../api/client";
import { wearWords } from "./words";

interface Props {
  wears: readonly Wear[];
  wear: Wear;
  onWear(wear: Wear): void;
  large?: boolean;
}

/** The wears the client uses: which one is seen. */
export const WearButtons = ({ wears, wear, onWear, large }: Props) =>
  wears.map((w) => (
    <Button
      key={w}
      size={large ? "large" : undefined}
      shape={large ? undefined : "round"}
      type={w === wear ? "primary" : "default"}
      aria-pressed={w === wear}
      onClick={() => onWear(w)}
    >
      {wearWords[w]}
    </Button>
  ));
