import { askForPage } from '@/app/door';
import { CallsScreen } from '@/ui/calls/CallsScreen';

export default async function CallsPage() {
  return <CallsScreen calls={await askForPage('callsView', {})} />;
}
