import { askForPage } from '@/app/door';
import { CuringScreen } from '@/ui/shop/CuringScreen';

export default async function CuringPage() {
  return <CuringScreen view={await askForPage('setUpView', {})} />;
}
