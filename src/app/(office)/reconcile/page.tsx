import { StagePage } from '../_parts/StagePage';

export default function ReconcilePage() {
  return <StagePage stage="reconcile" />;
}
