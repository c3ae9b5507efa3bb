import { askForPage } from '@/app/door';
import { MadeScreen } from '@/ui/shop/MadeScreen';

export default async function MadePage() {
  return <MadeScreen view={await askForPage('setUpView', {})} />;
}
