import { askForPage } from '@/app/door';
import { TicketScreen } from '@/ui/ticket/TicketScreen';

export default async function TicketOfShare({ params }: { params: Promise<{ shareId: string }> }) {
  const { shareId } = await params;
  return <TicketScreen key={shareId} ticket={await askForPage('ticketView', { shareId })} />;
}
