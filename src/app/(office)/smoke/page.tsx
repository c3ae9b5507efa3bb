import { askForPage } from '@/app/door';
import { SmokeScreen } from '@/ui/smoke/SmokeScreen';

export default async function SmokePage() {
  return <SmokeScreen first={await askForPage('smokeView', {})} />;
}
