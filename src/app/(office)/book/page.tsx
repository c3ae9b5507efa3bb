import { askForPage } from '@/app/door';
import { BookScreen } from '@/ui/book/BookScreen';

export default async function BookPage() {
  const { unit, species } = await askForPage('bookingView', {});
  const booked = await askForPage('stageView', { stage: 'book', page: 0 });
  return <BookScreen booked={booked} unit={unit} species={species} />;
}
