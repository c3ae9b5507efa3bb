import { notFound } from 'next/navigation';
import { askForPage } from '@/app/door';
import { KitPage } from '@/ui/kit/page/KitPage';

/** The pieces of the screens, to look at; in the demo shop only. */
export default async function Kit() {
  const { shop } = await askForPage('railView', {});
  if (!shop.demo) notFound();
  return <KitPage />;
}
