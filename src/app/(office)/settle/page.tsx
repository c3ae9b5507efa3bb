import { StagePage } from '../_parts/StagePage';

export default function SettlePage() {
  return <StagePage stage="settle" />;
}
