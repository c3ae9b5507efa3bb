import { askForPage } from '@/app/door';
import { HouseholdScreen } from '@/ui/book/HouseholdScreen';

export default async function HouseholdPage({ params }: { params: Promise<{ personId: string }> }) {
  return <HouseholdScreen household={await askForPage('householdView', await params)} />;
}
