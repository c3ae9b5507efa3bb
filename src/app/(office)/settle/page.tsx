import { askForPage } from '@/app/door';
import { TicketList } from '@/ui/TicketList';

export default async function SettlePage() {
  const rail = await askForPage('railView', {});
  return (
    <TicketList
      stage="settle"
      title="To settle"
      empty="Nothing waits to be paid or picked up."
      tickets={rail.tickets}
    />
  );
}
