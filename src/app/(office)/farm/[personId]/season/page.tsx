import { askForPage } from '@/app/door';
import { yearSaid } from '@/app/yearSaid';
import type { PersonId } from '@/core/order/animal';
import { SeasonScreen } from '@/ui/farm/SeasonScreen';

type Props = {
  params: Promise<{ personId: string }>;
  searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
};

export default async function FarmSeasonPage({ params, searchParams }: Props) {
  const { personId } = await params;
  const { year } = await searchParams;
  const asked = { personId: personId as PersonId, ...yearSaid(year) };
  const season = await askForPage('farmSeasonView', asked);
  return <SeasonScreen season={season} back={`/farm/${personId}`} />;
}
