import { askForPage } from '@/app/door';
import { CatalogueScreen } from '@/ui/shop/CatalogueScreen';

export default async function CataloguePage() {
  return <CatalogueScreen view={await askForPage('setUpView', {})} />;
}
