import { StagePage, type Paged } from '../_parts/StagePage';

export default function WrapPage({ searchParams }: Paged) {
  return <StagePage stage="wrap" searchParams={searchParams} />;
}
