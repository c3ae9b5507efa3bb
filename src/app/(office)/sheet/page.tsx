import { askForPage } from '@/app/door';
import { TicketList } from '@/ui/TicketList';

export default async function SheetPage() {
  const rail = await askForPage('railView', {});
  return (
    <TicketList stage="sheet" title="Sheets" empty="No share waits for its sheet." tickets={rail.tickets} />
  );
}
