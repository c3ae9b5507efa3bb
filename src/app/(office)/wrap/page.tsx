import { StagePage } from '../_parts/StagePage';

export default function WrapPage() {
  return <StagePage stage="wrap" />;
}
