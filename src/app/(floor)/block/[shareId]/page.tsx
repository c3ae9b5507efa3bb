import { askForPage } from '@/app/door';
import { BlockScreen } from '@/ui/block/BlockScreen';

export default async function Block({ params }: { params: Promise<{ shareId: string }> }) {
  const { shareId } = await params;
  return <BlockScreen first={await askForPage('blockView', { shareId })} />;
}
