import type { ThemeConfig } from 'antd';
import { DESK, DESTINATION_COLOURS, FLOOR, TYPE } from './tokens';

/** Ant Design in the shop's look: paper and ink, one accent, dense, and nothing that moves. */
export const deskTheme: ThemeConfig = {
  // Styles are a file of the library, loaded once; nothing is made of them while somebody works.
  zeroRuntime: true,
  hashed: false,
  token: {
    colorPrimary: DESK.stamp,
    colorInfo: DESK.stamp,
    colorLink: DESK.stamp,
    colorText: DESK.ink,
    colorTextSecondary: DESK.quiet,
    colorTextPlaceholder: DESK.quiet,
    colorBgBase: DESK.paper,
    colorBgContainer: DESK.sheet,
    colorBgElevated: DESK.sheet,
    colorBorder: DESK.edge,
    colorBorderSecondary: DESK.line,
    colorError: DESK.alarm,
    colorWarning: DESK.caution,
    colorSuccess: DESK.safe,
    colorErrorBg: DESK['alarm-wash'],
    colorErrorBorder: DESK.alarm,
    colorWarningBg: DESK['caution-wash'],
    colorWarningBorder: DESK.caution,
    fontFamily: TYPE.family,
    fontSize: TYPE.text,
    fontSizeSM: TYPE.smallest,
    borderRadius: 4,
    controlHeight: TYPE.control,
    controlHeightSM: TYPE.control,
    // Figures move in the frame of the choice, dialogs stand at once.
    motion: false,
    // What is on its way can still be read.
    opacityLoading: 0.9,
    wireframe: false,
    boxShadow: 'none',
    boxShadowSecondary: `0 6px 24px ${DESK.ink}29`,
  },
  components: {
    Button: { primaryShadow: 'none', defaultShadow: 'none', fontWeight: 600 },
    Modal: { titleFontSize: 18 },
    Popover: { zIndexPopup: 1100 },
    Form: { itemMarginBottom: 12, verticalLabelPadding: '0 0 2px' },
    Segmented: { trackBg: DESK.rail, itemSelectedBg: DESK.sheet, itemColor: DESK.ink },
    Table: { cellPaddingBlock: 6, cellPaddingInline: 8, headerBg: DESK.paper, headerColor: DESK.quiet },
  },
};

/** The same on the floor: dark ground, larger, for hands that are wet. */
export const floorTheme: ThemeConfig = {
  zeroRuntime: true,
  hashed: false,
  token: {
    colorPrimary: FLOOR.act,
    colorLink: FLOOR['act-edge'],
    colorText: FLOOR.ink,
    colorTextSecondary: FLOOR.quiet,
    colorTextPlaceholder: FLOOR.quiet,
    colorIcon: FLOOR.quiet,
    colorIconHover: FLOOR.ink,
    colorBgBase: FLOOR.ground,
    colorBgContainer: FLOOR.raised,
    colorBgElevated: FLOOR.raised,
    colorBorder: FLOOR.edge,
    colorBorderSecondary: FLOOR.line,
    colorError: FLOOR.alarm,
    colorWarning: FLOOR.caution,
    fontSize: 18,
    controlHeight: 64,
  },
};

/** Colours for charts, which draw on a canvas and know no variables. */
export const CHART_COLOURS = {
  ...DESTINATION_COLOURS,
  ink: DESK.ink,
  quiet: DESK.quiet,
  line: DESK.line,
} as const;
