import { askForPage } from '@/app/door';
import { isDay, type Day } from '@/core/time/shopTime';
import { DayBookScreen } from '@/ui/dayBook/DayBookScreen';

type Props = { searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>> };

export default async function DayBookPage({ searchParams }: Props) {
  const { day } = await searchParams;
  const said = typeof day === 'string' && isDay(day) ? { day: day as Day } : {};
  const book = await askForPage('dayBookView', said);
  return <DayBookScreen key={book.day} asked={said} first={book} />;
}
