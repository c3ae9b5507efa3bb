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

/** What is to be cut, and what is being cut: the same shares that hang at the wrap table. */
export const BLOCK_LIST = {
  title: 'The block',
  empty: 'Nothing is ready for the block. A share comes here with an approved sheet and a cold weight.',
};

/** One hook of the rail: today, where the rail is fixed to the wall, or a stage. */
export type Hook = {
  readonly word: string;
  readonly key: string;
  readonly path: string;
  /** The stage whose shares are counted here. */
  readonly stage?: Stage;
  /** Where the rail is fixed to the wall. */
  readonly isPlate?: true;
  /** At the end of the rail: looked back from, not a stage. */
  readonly isEnd?: true;
};

const TODAY: Hook = { word: 'Today', key: 'd', path: '/today', isPlate: true };
const WEEK: Hook = { word: 'Week', key: 'e', path: '/week' };
const YIELDS: Hook = { word: 'Yields', key: 'y', path: '/yields', isEnd: true };
const BLOCK: Hook = { word: 'Block', key: 'k', path: '/block' };
const GRIND: Hook = { word: 'Grind', key: 'i', path: '/grind' };
const SMOKE: Hook = { word: 'Smoke', key: 'm', path: '/smoke' };

/** The stages that a role works at: sheets, bills and booking are the office's. */
export function stagesFor(role: string): readonly Stage[] {
  if (role === 'owner' || role === 'counter') return STAGES;
  return role === 'cutter' ? ['hang', 'wrap'] : ['wrap'];
}

/** The rail as a role sees it. */
export function hooksFor(role: string): readonly Hook[] {
  const stages: Hook[] = stagesFor(role).map((stage) => ({
    ...STAGE_WORDS[stage],
    path: `/${stage}`,
    stage,
  }));
  // What is cut is wrapped at the same time: the block is a place on the way, not a stage of its own.
  const cuts = role === 'wrapper' || role === 'smoker' ? [] : [BLOCK];
  const way = stages.flatMap((hook) => (hook.stage === 'wrap' ? [...cuts, hook, GRIND, SMOKE] : [hook]));
  return [
    TODAY,
    ...(role === 'wrapper' || role === 'smoker' ? [] : [WEEK]),
    ...way,
    ...(isFloorRole(role) ? [] : [YIELDS]),
  ];
}

/** Who works on the floor: dark ground, large type, no money. */
export function isFloorRole(role: string): boolean {
  return role === 'cutter' || role === 'wrapper' || role === 'smoker';
}

/** Where a share is worked on at a stage by a role; its ticket when there is nothing for that role to do. */
export function pageOf(stage: Stage | null, shareId: string, role: string): string {
  const ticket = `/ticket/${shareId}`;
  if (stage === null || !stagesFor(role).includes(stage)) return ticket;
  switch (stage) {
    case 'book':
    case 'hang':
    case 'sheet':
      return isFloorRole(role) ? ticket : `/sheet/${shareId}`;
    case 'wrap':
      return role === 'cutter' ? `/block/${shareId}` : `/wrap/${shareId}`;
    case 'reconcile':
    case 'settle':
      return `/${stage}/${shareId}`;
  }
}

/** The share that a page is about, whichever of its pages it is. */
export function shareInHand(path: string): string | undefined {
  return /^\/(?:sheet|block|wrap|reconcile|settle|ticket)\/([^/]+)$/.exec(path)?.[1];
}
