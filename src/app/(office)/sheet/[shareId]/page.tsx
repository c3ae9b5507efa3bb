import { askForPage } from '@/app/door';
import { SheetScreen } from '@/ui/sheet/SheetScreen';

export default async function SheetOfShare({ params }: { params: Promise<{ shareId: string }> }) {
  const { shareId } = await params;
  const view = await askForPage('sheetView', { shareId });
  return <SheetScreen key={`${shareId} ${view.locked}`} view={view} />;
}
