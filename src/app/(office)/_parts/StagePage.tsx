import { askForPage } from '@/app/door';
import type { Stage } from '@/core/order/stage';
import { TicketList } from '@/ui/rail/TicketList';

export type Paged = { searchParams: Promise<{ page?: string; gone?: string }> };

/** Which page of a list an address asks for; the first when it says nothing sensible. */
export function pageNumber(said: string | undefined): number {
  const page = Number(said ?? 0);
  return Number.isInteger(page) && page >= 0 ? page : 0;
}

/** What waits at one stage of the rail; where bills are settled, what has gone home as well. */
export async function StagePage({ stage, searchParams }: { stage: Stage } & Paged) {
  const { page, gone } = await searchParams;
  const here = await askForPage('stageView', { stage, page: pageNumber(page) });
  const home =
    stage === 'settle' ? await askForPage('stageView', { stage: 'gone', page: pageNumber(gone) }) : undefined;
  return <TicketList stage={stage} here={here} {...(home ? { gone: home } : {})} />;
}
