import { askForPage } from '@/app/door';
import { TicketList } from '@/ui/rail/TicketList';
import { pageNumber, type Paged } from '../_parts/StagePage';

export default async function BlockPage({ searchParams }: Paged) {
  const { page } = await searchParams;
  const here = await askForPage('stageView', { stage: 'wrap', page: pageNumber(page) });
  return <TicketList stage="wrap" here={here} atBlock />;
}
