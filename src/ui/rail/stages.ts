import { STAGES, type Stage } from '@/core/order/stage';

/** The word of each stage on the rail, and the key that goes there. */
export const STAGE_WORDS: Readonly<Record<Stage, { readonly word: string; readonly key: string }>> = {
  book: { word: 'Book', key: 'b' },
  hang: { word: 'Hang', key: 'h' },
  sheet: { word: 'Sheet', key: 's' },
  wrap: { word: 'Wrap', key: 'w' },
  reconcile: { word: 'Reconcile', key: 'r' },
  settle: { word: 'Settle', key: 't' },
};

/** Heading and empty words of the stages that are lists of shares. */
export const STAGE_LISTS: Readonly<
  Partial<Record<Stage, { readonly title: string; readonly empty: string }>>
> = {
  sheet: { title: 'Sheets', empty: 'No share waits for its sheet.' },
  wrap: {
    title: 'Wrap table',
    empty: 'Nothing is ready for the block. A share comes here with an approved sheet and a cold weight.',
  },
  reconcile: {
    title: 'To reconcile',
    empty: 'Nothing waits to be reconciled. A share comes here when its last cut is packed.',
  },
  settle: { title: 'To settle', empty: 'Nothing waits to be paid or picked up.' },
};

/** Where a share is worked on at a stage; shares that are only hung have no page of their own. */
export function pageOf(stage: Stage | null, shareId: string): string {
  switch (stage) {
    case 'book':
    case 'hang':
    case 'sheet':
      return `/sheet/${shareId}`;
    case 'wrap':
      return `/wrap/${shareId}`;
    case 'reconcile':
      return `/reconcile/${shareId}`;
    case 'settle':
    case null:
      return `/settle/${shareId}`;
  }
}

/** The stages whose lists a role may open: sheets, bills and booking are the office's. */
export function stagesFor(role: string): readonly Stage[] {
  if (role === 'owner' || role === 'counter') return STAGES;
  return role === 'cutter' ? ['hang', 'wrap'] : ['wrap'];
}
