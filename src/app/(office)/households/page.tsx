import { askForPage } from '@/app/door';
import { FindHousehold } from '@/ui/book/FindHousehold';

export default async function HouseholdsPage() {
  return <FindHousehold latest={await askForPage('householdsView', { words: '' })} />;
}
