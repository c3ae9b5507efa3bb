import { StagePage, type Paged } from '../_parts/StagePage';

export default function ReconcilePage({ searchParams }: Paged) {
  return <StagePage stage="reconcile" searchParams={searchParams} />;
}
