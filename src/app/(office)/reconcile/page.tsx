import { askForPage } from '@/app/door';
import { TicketList } from '@/ui/TicketList';

export default async function ReconcilePage() {
  const rail = await askForPage('railView', {});
  return (
    <TicketList
      stage="reconcile"
      title="To reconcile"
      empty="Nothing waits to be reconciled. A share comes here when its last cut is packed."
      tickets={rail.tickets}
    />
  );
}
