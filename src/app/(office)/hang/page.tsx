import { askForPage } from '@/app/door';
import { HangScreen } from '@/ui/hang/HangScreen';

export default async function HangPage() {
  return <HangScreen board={await askForPage('hangView', {})} />;
}
