import { askForPage } from '@/app/door';
import { WrapScreen } from '@/ui/wrap/WrapScreen';

export default async function WrapTable({ params }: { params: Promise<{ shareId: string }> }) {
  const { shareId } = await params;
  return <WrapScreen first={await askForPage('wrapView', { shareId })} />;
}
