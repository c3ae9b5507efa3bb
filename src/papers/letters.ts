import fontkit from '@pdf-lib/fontkit';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Latin letters first, then those the first file lacks. */
export const ALPHABETS = ['latin', 'latin-ext'] as const;

export type Weight = 400 | 700;

/** Where one weight of Archivo lies that ships with the app. */
export function fontFile(alphabet: (typeof ALPHABETS)[number], weight: Weight): string {
  const file = `archivo-${alphabet}-${weight}-normal.woff`;
  return join(process.cwd(), 'node_modules/@fontsource/archivo/files', file);
}

/** A letter as it is drawn: how far it moves the pen, and its outline, both in ems, the outline upside down. */
export type Glyph = { readonly advance: number; readonly outline: string; readonly scale: number };

type Font = ReturnType<typeof fontkit.create>;

const fonts = new Map<Weight, readonly Font[]>();
const glyphs = new Map<string, Glyph | undefined>();

function fontsOf(weight: Weight): readonly Font[] {
  const known = fonts.get(weight);
  if (known) return known;
  const read = ALPHABETS.map((alphabet) => fontkit.create(readFileSync(fontFile(alphabet, weight))));
  fonts.set(weight, read);
  return read;
}

/** One letter of a weight; undefined where no file has it. */
export function glyphOf(letter: string, weight: Weight): Glyph | undefined {
  const key = `${weight}${letter}`;
  if (!glyphs.has(key)) glyphs.set(key, drawn(letter.codePointAt(0)!, weight));
  return glyphs.get(key);
}

function drawn(code: number, weight: Weight): Glyph | undefined {
  const font = fontsOf(weight).find((each) => each.hasGlyphForCodePoint(code));
  if (!font) return undefined;
  const glyph = font.glyphForCodePoint(code);
  const scale = 1 / font.unitsPerEm;
  return { advance: glyph.advanceWidth * scale, outline: glyph.path.toSVG(), scale };
}
