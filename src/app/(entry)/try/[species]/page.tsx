import { notFound } from 'next/navigation';
import { askAsAnybody } from '@/app/door';
import { TryScreen } from '@/ui/mine/TryScreen';

export const metadata = { title: 'Try a sheet' };

type Params = {
  params: Promise<{ species: string }>;
  searchParams: Promise<Readonly<Record<string, unknown>>>;
};

/** A sheet that anybody may try before booking: half of a usual animal, or the whole of it. */
export default async function TryPage({ params, searchParams }: Params) {
  const { species } = await params;
  const sides = 'whole' in (await searchParams) ? 2 : 1;
  const result = await askAsAnybody('trySheetView', { species, sides });
  if (!result.ok) notFound();
  return <TryScreen key={sides} first={result.value} />;
}
