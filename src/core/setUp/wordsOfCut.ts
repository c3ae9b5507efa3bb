/** Words as people type them, apart by commas: `boston butt, collar`. Each once. */
export function wordsOf(text: string): string[] {
  return [
    ...new Set(
      text
        .split(',')
        .map((word) => word.trim())
        .filter((word) => word !== ''),
    ),
  ];
}
