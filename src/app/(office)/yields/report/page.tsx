import { askForPage } from '@/app/door';
import { ReportScreen } from '@/ui/yields/ReportScreen';

type Props = { searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>> };

export default async function ReportPage({ searchParams }: Props) {
  const { year } = await searchParams;
  const said = typeof year === 'string' && /^\d{4}$/.test(year) ? { year: Number(year) } : {};
  return <ReportScreen view={await askForPage('reportView', said)} />;
}
