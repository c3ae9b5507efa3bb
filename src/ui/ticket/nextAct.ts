import type { Place } from '@/core/order/stage';
import { stagesFor } from '../rail/stages';

export type NextAct = { readonly does: string; readonly page: string };

/** What the stage of a share needs next, for whoever works at that stage; nothing for others, and once it is done with. */
export function nextAct(stage: Place, shareId: string, role: string): NextAct | undefined {
  if (stage === 'gone' || stage === 'cancelled' || !stagesFor(role).includes(stage)) return undefined;
  switch (stage) {
    case 'book':
      return { does: 'Weigh it in', page: '/hang' };
    case 'hang':
      return { does: 'Weigh it cold', page: '/hang' };
    case 'sheet':
      return { does: 'Finish the sheet', page: `/sheet/${shareId}` };
    case 'wrap':
      return { does: 'To the wrap table', page: `/wrap/${shareId}` };
    case 'reconcile':
      return { does: 'Close the balance', page: `/reconcile/${shareId}` };
    case 'settle':
      return { does: 'Settle it', page: `/settle/${shareId}` };
  }
}
