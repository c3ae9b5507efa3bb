import { askForPage } from '@/app/door';
import type { Stage } from '@/core/order/stage';
import { TicketList } from '@/ui/TicketList';

/** What waits at one stage of the rail. */
export async function StagePage({ stage }: { stage: Stage }) {
  const rail = await askForPage('railView', {});
  return <TicketList stage={stage} tickets={rail.tickets} />;
}
