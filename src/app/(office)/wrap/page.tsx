import { askForPage } from '@/app/door';
import { TicketList } from '@/ui/TicketList';

export default async function WrapPage() {
  const rail = await askForPage('railView', {});
  return (
    <TicketList
      stage="wrap"
      title="Wrap table"
      empty="Nothing is ready for the block. A share comes here with an approved sheet and a cold weight."
      tickets={rail.tickets}
    />
  );
}
