import { StagePage, type Paged } from '../_parts/StagePage';

export default function SettlePage({ searchParams }: Paged) {
  return <StagePage stage="settle" searchParams={searchParams} />;
}
