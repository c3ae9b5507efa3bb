/** The stages of the work, in the order of the rail. */
export const STAGES = ['book', 'hang', 'sheet', 'wrap', 'reconcile', 'settle'] as const;
export type Stage = (typeof STAGES)[number];

/** Where a share can be: at a stage, or done with. */
export type Place = Stage | 'gone' | 'cancelled';

/** What has happened to a share so far. */
export type ShareFacts = {
  readonly hotWeighed: boolean;
  readonly coldWeighed: boolean;
  readonly sheetApproved: boolean;
  readonly onTheBlock: boolean;
  /** Every line of the sheet is packed, or lies in cure, or was explained. */
  readonly packed: boolean;
  readonly closed: boolean;
  readonly pickedUp: boolean;
};

/** Where a share hangs on the rail: the first stage that still waits for something; null when it has gone home. */
export function stageOf(facts: ShareFacts): Stage | null {
  if (facts.pickedUp) return null;
  if (facts.closed) return 'settle';
  if (facts.onTheBlock) return facts.packed ? 'reconcile' : 'wrap';
  if (!facts.hotWeighed) return 'book';
  if (!facts.sheetApproved) return 'sheet';
  return facts.coldWeighed ? 'wrap' : 'hang';
}
