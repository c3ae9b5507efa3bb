import { askForPage } from '@/app/door';
import { WeekScreen } from '@/ui/week/WeekScreen';

export default async function WeekPage() {
  return <WeekScreen first={await askForPage('weekView', {})} />;
}
