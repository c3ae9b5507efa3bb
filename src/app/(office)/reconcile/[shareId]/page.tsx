import { askForPage } from '@/app/door';
import { ReconcileScreen } from '@/ui/reconcile/ReconcileScreen';

export default async function ReconcileShare({ params }: { params: Promise<{ shareId: string }> }) {
  const { shareId } = await params;
  return <ReconcileScreen view={await askForPage('balanceView', { shareId })} />;
}
