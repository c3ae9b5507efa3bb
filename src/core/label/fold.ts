import type { LabelLayout } from './sizes';

/** A text folded to the width of a label, between words. */
export function folded(text: string, { letters }: LabelLayout): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(' ')) {
    if (line !== '' && line.length + word.length >= letters) {
      lines.push(line);
      line = '';
    }
    line = line === '' ? word : `${line} ${word}`;
  }
  return [...lines, line];
}
