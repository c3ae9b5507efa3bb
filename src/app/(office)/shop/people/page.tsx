import { askForPage } from '@/app/door';
import { PeopleScreen } from '@/ui/shop/PeopleScreen';

export default async function PeoplePage() {
  return <PeopleScreen staff={await askForPage('staffView', {})} />;
}
