import { notFound } from 'next/navigation';
import { askAsAnybody } from '@/app/door';
import { BlankSheetPage } from '@/ui/blank/BlankSheetPage';

/** The blank sheet of a species: anyone may open it by the shop's link. */
export default async function BlankPage({ params }: { params: Promise<{ species: string }> }) {
  const { species } = await params;
  const result = await askAsAnybody('blankSheetView', { species });
  if (!result.ok) notFound();
  return <BlankSheetPage id={species} blank={result.value} />;
}
