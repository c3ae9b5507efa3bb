import { MineScreen } from '@/ui/mine/MineScreen';
import { shown, visit } from '../visit';

export const metadata = { title: 'A sheet', robots: { index: false, follow: false } };

type Params = { params: Promise<{ token: string; shareId: string }> };

/** One sheet of a farmer's animals, by the farmer's private link. */
export default async function FarmersSheetPage({ params }: Params) {
  const { token, shareId } = await params;
  return visit(token, async (visitor) =>
    shown(visitor, {
      view: 'householdSheetView',
      input: { shareId },
      show: (mine) => <MineScreen token={token} mine={mine} />,
    }),
  );
}
