import { askForPage } from '@/app/door';
import { ShareYieldScreen } from '@/ui/yields/ShareYieldScreen';

export default async function YieldOfShare({ params }: { params: Promise<{ shareId: string }> }) {
  return <ShareYieldScreen view={await askForPage('shareYieldView', await params)} />;
}
