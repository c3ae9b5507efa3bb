import { askForPage } from '@/app/door';
import { SettleScreen } from '@/ui/settle/SettleScreen';

export default async function SettleShare({ params }: { params: Promise<{ shareId: string }> }) {
  const { shareId } = await params;
  return <SettleScreen view={await askForPage('settleView', { shareId })} />;
}
