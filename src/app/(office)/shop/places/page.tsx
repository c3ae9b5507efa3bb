import { askForPage } from '@/app/door';
import { PlacesScreen } from '@/ui/shop/PlacesScreen';

export default async function PlacesPage() {
  return <PlacesScreen view={await askForPage('setUpView', {})} />;
}
