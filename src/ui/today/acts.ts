import type { TaskKind } from '@/core/today/tasks';
import type { TaskShown } from '@/server/today';

/** What is done about a thing, and where. */
export type Act = { readonly does: string; readonly page: string };

const DOES: Readonly<Record<TaskKind, string>> = {
  broken: 'Look at it',
  answer: 'Open the sheet',
  approve: 'Approve',
  'weigh-in': 'Weigh it in',
  'weigh-cold': 'Weigh cold',
  'to-block': 'To the block',
  'on-block': 'To the table',
  'in-cure': 'To the table',
  reconcile: 'Close the balance',
  collect: 'Settle it',
};

/** Several like things, in words: what `folded` tells as one. */
export const MANY: Readonly<Record<TaskKind, string>> = {
  broken: 'orders cannot be worked out',
  answer: 'sheets with open questions',
  approve: 'sheets to approve',
  'weigh-in': 'animals to weigh in',
  'weigh-cold': 'animals to weigh cold',
  'to-block': 'shares for the block',
  'on-block': 'shares on the block',
  'in-cure': 'shares in cure',
  reconcile: 'balances to close',
  collect: 'orders to be collected',
};

export function actOf({ kind, shareIds }: Pick<TaskShown, 'kind' | 'shareIds'>): Act {
  const [shareId] = shareIds;
  const page = {
    broken: `/ticket/${shareId}`,
    answer: `/sheet/${shareId}`,
    approve: `/sheet/${shareId}`,
    'weigh-in': '/hang',
    'weigh-cold': '/hang',
    'to-block': `/wrap/${shareId}`,
    'on-block': `/wrap/${shareId}`,
    'in-cure': `/wrap/${shareId}`,
    reconcile: `/reconcile/${shareId}`,
    collect: `/settle/${shareId}`,
  }[kind];
  return { does: DOES[kind], page };
}

export function ticketOf({ shareIds }: Pick<TaskShown, 'shareIds'>): string {
  return `/ticket/${shareIds[0]}`;
}

/** Whether a household is to be rung about its sheet. */
export function isCalled({ kind, phone }: Pick<TaskShown, 'kind' | 'phone'>): boolean {
  return phone !== '' && (kind === 'answer' || kind === 'approve');
}

/** The call list, with this one in hand where somebody has to be rung about it. */
export function callOf(task: Pick<TaskShown, 'kind' | 'shareIds' | 'phone'> | undefined): string {
  return task && isCalled(task) ? `/calls?share=${task.shareIds[0]}` : '/calls';
}
