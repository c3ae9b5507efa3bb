import { askForPage } from '@/app/door';
import { RulesScreen } from '@/ui/shop/RulesScreen';

export default async function RulesPage() {
  return (
    <RulesScreen view={await askForPage('setUpView', {})} label={await askForPage('labelSampleView', {})} />
  );
}
