import type { ThemeConfig } from "antd";
import { tokens } from "./tokens";

export const theme: ThemeConfig = {
  token: {
    colorPrimary: tokens.accent,
    colorInfo: tokens.accent,
    colorLink: tokens.accent,
    colorError: tokens.alarm,
    colorWarning: tokens.caution,
    colorText: tokens.ink,
    colorTextSecondary: tokens.inkSoft,
    colorBgBase: tokens.white,
    colorBgLayout: tokens.surround,
    colorBorder: tokens.line,
    colorTextPlaceholder: tokens.inkSoft,
    fontFamily: "'Atkinson Hyperlegible Next Variable', sans-serif",
    fontSize: 15,
    controlHeight: 44,
    borderRadius: 12,
    wireframe: false,
  },
  components: {
    Segmented: {
      itemSelectedBg: tokens.accent,
      itemSelectedColor: tokens.white,
      trackBg: tokens.track,
      controlHeight: 44,
    },
    Button: { fontWeight: 600 },
    Slider: {
      railSize: 5,
      handleSize: 26,
      handleSizeHover: 28,
      trackBg: tokens.accent,
      trackHoverBg: tokens.accent,
      railBg: tokens.line,
    },
  },
};
