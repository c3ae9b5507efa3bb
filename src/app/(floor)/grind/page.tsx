import { askForPage } from '@/app/door';
import { GrindScreen } from '@/ui/grind/GrindScreen';

export default async function Grind() {
  return <GrindScreen first={await askForPage('grindView', {})} />;
}
