/** A key as it was pressed. */
export type Stroke = {
  readonly key: string;
  readonly ctrlKey: boolean;
  /** Held down, it comes again and again. */
  readonly repeat: boolean;
  /** Milliseconds. */
  readonly at: number;
};

/** Hands need longer than this from one key to the next; scanners do not. Milliseconds. */
export const FASTER_THAN_HANDS_MS = 40;
/** Fewer letters than these may be a hurried hand. */
const SHORTEST_SCAN = 3;
/** How scanners type the separator of GS1 codes: Ctrl and a bracket. */
const SEPARATOR = '\u001d';

/**
 * What becomes of a key: it is held until it is known whether a scanner types; it was the end of a scan; or it and what
 * was held before it are a hand's.
 */
export type Heard = 'held' | { readonly scan: string } | 'hand';

/** Tells a scanner, which types as fast as it can and ends with Enter, from hands. */
export class ScanReader {
  private text = '';
  private last = -Infinity;

  press({ key, ctrlKey, repeat, at }: Stroke): Heard {
    const isFast = at - this.last <= FASTER_THAN_HANDS_MS;
    this.last = at;
    const letter = letterOf(key, ctrlKey);
    if (letter !== undefined && !repeat) {
      this.text = (isFast ? this.text : '') + letter;
      return 'held';
    }
    // Shift is pressed for capital letters between others.
    if (key === 'Shift' && this.text !== '') return 'held';
    const text = this.text;
    this.text = '';
    return key === 'Enter' && isFast && text.length >= SHORTEST_SCAN ? { scan: text } : 'hand';
  }

  /** Nothing came for as long as hands need: what was held is theirs. */
  rest(): void {
    this.text = '';
  }
}

function letterOf(key: string, ctrlKey: boolean): string | undefined {
  if (ctrlKey) return key === ']' ? SEPARATOR : undefined;
  return key.length === 1 ? key : undefined;
}
