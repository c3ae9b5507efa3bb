import { askForPage } from '@/app/door';
import { YieldsScreen } from '@/ui/yields/YieldsScreen';

type Props = { searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>> };

/** The address of the page is the choice: what is not a word of it is left out. */
const ASKED = ['species', 'boneState', 'farmId', 'type', 'school', 'part', 'since', 'shareId'];

export default async function YieldsPage({ searchParams }: Props) {
  const said = await searchParams;
  const filter = Object.fromEntries(
    ASKED.flatMap((key) => (typeof said[key] === 'string' ? [[key, said[key]]] : [])),
  );
  const view = await askForPage('yieldsView', filter);
  return <YieldsScreen view={view} />;
}
