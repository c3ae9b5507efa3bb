import { FarmerScreen } from '@/ui/mine/FarmerScreen';
import { MineScreen } from '@/ui/mine/MineScreen';
import { shown, visit } from './visit';

export const metadata = { title: 'Your meat', robots: { index: false, follow: false } };

type Params = { params: Promise<{ token: string }> };

/** A household's own page by its private link, or a farmer's. */
export default async function MinePage({ params }: Params) {
  const { token } = await params;
  return visit(token, async (visitor) =>
    visitor.actor.kind === 'farmer'
      ? shown(visitor, {
          view: 'farmSheetsView',
          input: { personId: visitor.actor.farmId },
          show: (farm) => <FarmerScreen token={token} farm={farm} />,
        })
      : shown(visitor, {
          view: 'householdSheetView',
          input: { shareId: visitor.actor.shareId },
          show: (mine) => <MineScreen token={token} mine={mine} />,
        }),
  );
}
