import { StagePage } from '../_parts/StagePage';

export default function SheetPage() {
  return <StagePage stage="sheet" />;
}
