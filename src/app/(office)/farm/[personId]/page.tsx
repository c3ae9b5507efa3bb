import { askForPage } from '@/app/door';
import type { PersonId } from '@/core/order/animal';
import { FarmScreen } from '@/ui/farm/FarmScreen';

type Params = { params: Promise<{ personId: string }> };

export default async function FarmPage({ params }: Params) {
  const { personId } = await params;
  return <FarmScreen farm={await askForPage('farmSheetsView', { personId: personId as PersonId })} />;
}
