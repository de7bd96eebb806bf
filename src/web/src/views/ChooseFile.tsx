import { Button, type ButtonProps } from "antd";
import { useRef } from "react";

interface Props extends Pick<ButtonProps, "size" | "loading"> {
  /** What the file is, for who can't see the button. */
  name: string;
  /** What the button is called where its words say too little. */
  label?: string;
  /** What kinds are offered. */
  accept: string;
  onChosen(file: File): void;
  children: string;
}

/** A button that asks for a file; the same file can be chosen again. */
export function ChooseFile({ name, label, accept, onChosen, children, ...button }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        hidden
        aria-label={name}
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = "";
          if (file) {
            onChosen(file);
          }
        }}
      />
      <Button {...button} aria-label={label} onClick={() => input.current?.click()}>
        {children}
      </Button>
    </>
  );
}
