/** Letters of a small line that fit beside the margins of a 4 x 3 inch label. */
export const LETTERS_PER_LINE = 62;

/** Small lines between the weight and the bars. */
export const MOST_SMALL_LINES = 10;

/** A text folded to the width of a label, between words. */
export function folded(text: string): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(' ')) {
    if (line !== '' && line.length + word.length >= LETTERS_PER_LINE) {
      lines.push(line);
      line = '';
    }
    line = line === '' ? word : `${line} ${word}`;
  }
  return [...lines, line];
}
