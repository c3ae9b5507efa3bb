import { askForPage } from '@/app/door';
import { FindHousehold } from '@/ui/book/FindHousehold';

export default async function HouseholdsPage() {
  await askForPage('bookingView', {});
  return <FindHousehold />;
}
