import { evaluate, type Evaluation, type Ground } from '@/core/questions/evaluate';
import type { Sheet } from '@/core/sheet/types';

/** More than one zone offers. */
const MOST_KEPT = 40;

/**
 * Sheets worked out, each once: the cards of the open zone ask what each way would give, and the sentence below them, and
 * a pointer that moves over them, ask the same again.
 */
export class Evaluations {
  private readonly known = new Map<string, Evaluation>();

  constructor(
    private readonly ground: Ground,
    private readonly work: (ground: Ground, sheet: Sheet) => Evaluation = evaluate,
  ) {}

  of(sheet: Sheet): Evaluation {
    const key = JSON.stringify(sheet);
    const known = this.known.get(key);
    if (known) return known;
    const made = this.work(this.ground, sheet);
    if (this.known.size >= MOST_KEPT) this.known.delete(this.known.keys().next().value!);
    this.known.set(key, made);
    return made;
  }
}
