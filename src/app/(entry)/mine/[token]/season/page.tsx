import { yearSaid } from '@/app/yearSaid';
import { FarmersSeason } from '@/ui/mine/FarmerScreen';
import { shown, visit } from '../visit';

export const metadata = { title: 'Your season', robots: { index: false, follow: false } };

type Props = {
  params: Promise<{ token: string }>;
  searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
};

/** The season of a farm, by the farmer's private link. */
export default async function FarmersSeasonPage({ params, searchParams }: Props) {
  const { token } = await params;
  const { year } = await searchParams;
  return visit(token, async (visitor) =>
    shown(visitor, {
      view: 'farmSeasonView',
      input: { personId: visitor.link.farmId, ...yearSaid(year) },
      show: (season) => <FarmersSeason token={token} season={season} />,
    }),
  );
}
