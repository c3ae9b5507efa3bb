import { askForPage } from '@/app/door';
import { yearSaid } from '@/app/yearSaid';
import { ReportScreen } from '@/ui/yields/ReportScreen';

type Props = { searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>> };

export default async function ReportPage({ searchParams }: Props) {
  const { year, month } = await searchParams;
  const asked = typeof month === 'string' ? { month } : {};
  return <ReportScreen view={await askForPage('reportView', { ...yearSaid(year), ...asked })} />;
}
