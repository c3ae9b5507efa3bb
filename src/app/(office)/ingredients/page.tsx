import { askForPage } from '@/app/door';
import { IngredientsScreen } from '@/ui/dayBook/IngredientsScreen';

export default async function IngredientsPage() {
  return <IngredientsScreen first={await askForPage('ingredientsView', {})} />;
}
