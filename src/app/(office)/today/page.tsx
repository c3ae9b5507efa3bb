import { askForPage } from '@/app/door';
import { TodayScreen } from '@/ui/today/TodayScreen';

export default async function TodayPage() {
  return <TodayScreen today={await askForPage('todayView', {})} />;
}
