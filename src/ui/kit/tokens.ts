/**
 * The look, once: every colour of the screens and every size that they share. Ant Design's theme, the charts and the
 * style sheets (as variables) all take them from here; a colour written anywhere else fails a test.
 */

/** The desk: near-black ink on unbleached paper. */
export const DESK = {
  paper: '#f4eee3',
  /** Cards, tickets and fields on the paper. */
  sheet: '#fffaf1',
  rail: '#ece4d5',
  ink: '#1e1a17',
  quiet: '#6a6154',
  /** Hairlines, where nothing is pressed. */
  line: '#d8cebb',
  /** The edge of what can be pressed: three to one on paper. */
  edge: '#93866f',
  /** The inspector's stamp: here, now, and nothing else. */
  stamp: '#3f2a86',
  'stamp-wash': '#ebe5f7',
  /** On the stamp. */
  'on-stamp': '#ffffff',
  'quiet-on-stamp': '#d9cff5',
  /** Waits for an answer, or is wrong. */
  alarm: '#8f2d2f',
  'alarm-wash': '#f8e9e4',
  /** Must not happen. */
  caution: '#7a4b00',
  'caution-wash': '#f9ecd2',
  safe: '#2f6b45',
} as const;

/** Destinations of meat: one colour each, the same everywhere, always with a second mark. */
export const DESTINATION_COLOURS = {
  steaks: '#8f2d2f',
  roasts: '#6b3a2a',
  grind: '#c8705a',
  cured: '#c08a2d',
  bones: '#9a8f78',
  offal: '#5f4664',
  lost: '#d9d2c3',
} as const;

/** The second marks, and the edge of a label over a narrow shank. */
export const MARKS = { 'grind-line': '#b75f4a', 'lost-line': '#cdc5b4', 'meat-edge': '#3a211a' } as const;

/** The floor: dark, high in contrast, read from two metres. */
export const FLOOR = {
  // What the desk calls so is this on the floor: its pages can stand on either ground.
  paper: '#15171a',
  sheet: '#1e2126',
  rail: '#1e2126',
  ink: '#f3efe6',
  quiet: '#b5ad9e',
  line: '#33373d',
  edge: '#8b867c',
  stamp: '#6b4fd0',
  'stamp-wash': '#2c2550',
  alarm: '#ff9d94',
  'alarm-wash': '#3a1f1f',
  'caution-wash': '#3a2b12',
  ground: '#15171a',
  raised: '#1e2126',
  pressed: '#23272c',
  deep: '#0b0c0e',
  'floor-line': '#33373d',
  'floor-edge': '#454a52',
  chalk: '#f3efe6',
  dim: '#b5ad9e',
  faint: '#8b867c',
  caution: '#ffb347',
  safe: '#8fd19e',
  'safe-wash': '#3c5a44',
  act: '#6b4fd0',
  'act-edge': '#b9a8ff',
  chosen: '#f3efe6',
  'on-chosen': '#15171a',
  'quiet-on-chosen': '#5d564a',
  'line-on-chosen': '#d3c9b6',
  steaks: '#cf5a5c',
  roasts: '#b5714f',
  grind: '#dd8a74',
  cured: '#dcab52',
  bones: '#bdb39b',
  offal: '#a684ac',
  lost: '#6d6a64',
} as const;

export const TYPE = {
  family: "'Archivo Variable', 'Archivo', system-ui, sans-serif",
  /** Nothing at the desk is smaller. */
  smallest: 13,
  text: 14,
  /** Fields and buttons at the desk are at least this high. */
  control: 32,
} as const;

function variables(tokens: Readonly<Record<string, string>>): string {
  return Object.entries(tokens)
    .map(([name, value]) => `--${name}:${value}`)
    .join(';');
}

/** The tokens as variables for the style sheets: the desk's for every page, the floor's for what stands on its ground. */
export function tokenStyles(): string {
  const desk = variables({ ...DESK, ...DESTINATION_COLOURS, ...MARKS, 'font-family': TYPE.family });
  return `:root{${desk}}[data-ground='floor']{${variables(FLOOR)}}`;
}
