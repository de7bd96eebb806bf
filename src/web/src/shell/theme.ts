import type { ThemeConfig } from "antd";

export const ink = "#1d2325";
export const ink2 = "#566064";
export const surround = "#e6e6e3";
export const panel = "#f1f1ef";
export const line = "#c9cac6";
export const accent = "#0b6a80";
export const alarm = "#a33a1f";
export const caution = "#b07a12";

export const theme: ThemeConfig = {
  token: {
    colorPrimary: accent,
    colorInfo: accent,
    colorLink: accent,
    colorError: alarm,
    colorWarning: caution,
    colorText: ink,
    colorTextSecondary: ink2,
    colorBgBase: "#ffffff",
    colorBgLayout: surround,
    colorBorder: line,
    colorTextPlaceholder: "#646c6f",
    fontFamily: "'Atkinson Hyperlegible Next Variable', sans-serif",
    fontSize: 15,
    controlHeight: 44,
    borderRadius: 12,
    wireframe: false,
  },
  components: {
    Segmented: {
      itemSelectedBg: accent,
      itemSelectedColor: "#ffffff",
      trackBg: "#dddeda",
      controlHeight: 44,
    },
    Button: { fontWeight: 600 },
    Slider: {
      railSize: 5,
      handleSize: 26,
      handleSizeHover: 28,
      trackBg: accent,
      trackHoverBg: accent,
      railBg: "#bfc1bc",
    },
  },
};
