import { askForPage } from '@/app/door';
import { PricesScreen } from '@/ui/shop/PricesScreen';

export default async function PricesPage() {
  return <PricesScreen view={await askForPage('pricesView', {})} />;
}
