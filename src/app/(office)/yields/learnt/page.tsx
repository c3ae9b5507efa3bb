import { askForPage } from '@/app/door';
import { LearntScreen } from '@/ui/yields/LearntScreen';

type Props = { searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>> };

export default async function LearntPage({ searchParams }: Props) {
  const { species } = await searchParams;
  return (
    <LearntScreen view={await askForPage('learningView', typeof species === 'string' ? { species } : {})} />
  );
}
