import { StagePage, type Paged } from '../_parts/StagePage';

export default function SheetPage({ searchParams }: Paged) {
  return <StagePage stage="sheet" searchParams={searchParams} />;
}
