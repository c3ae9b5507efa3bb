import type { ThemeConfig } from 'antd';

/** The shop's colours; the same values stand in globals.css for plain CSS. */
const INK = '#1e1a17';
const PAPER = '#f4eee3';
const STAMP = '#3f2a86';

const FONT = "'Archivo Variable', 'Archivo', system-ui, sans-serif";

/** The desk: near-black ink on unbleached paper, one accent, dense. */
export const deskTheme: ThemeConfig = {
  token: {
    colorPrimary: STAMP,
    colorInfo: STAMP,
    colorLink: STAMP,
    colorText: INK,
    colorTextSecondary: '#6a6154',
    colorBgBase: PAPER,
    colorBgContainer: '#fffaf1',
    colorBgElevated: '#fffaf1',
    colorBorder: '#b9ad97',
    colorBorderSecondary: '#d8cebb',
    colorError: '#8f2d2f',
    colorWarning: '#8a5a00',
    colorSuccess: '#2f6b45',
    fontFamily: FONT,
    fontSize: 14,
    borderRadius: 4,
    controlHeight: 32,
    wireframe: false,
    boxShadow: 'none',
    boxShadowSecondary: '0 6px 24px rgba(30, 26, 23, 0.16)',
  },
  components: {
    Button: { primaryShadow: 'none', defaultShadow: 'none', fontWeight: 600 },
    Modal: { titleFontSize: 18 },
    Popover: { zIndexPopup: 1100 },
  },
};

/** Colours of the destinations for charts; CSS has the same as variables. */
export const CHART_COLOURS = {
  kept: '#6b3a2a',
  lost: '#cdc5b4',
  ink: INK,
  quiet: '#6a6154',
  line: '#d8cebb',
} as const;
