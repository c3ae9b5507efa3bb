import { askForPage } from '@/app/door';
import { BookScreen } from '@/ui/book/BookScreen';

export default async function BookPage() {
  const view = await askForPage('bookingView', {});
  const room = await askForPage('roomView', {});
  const booked = await askForPage('stageView', { stage: 'book', page: 0 });
  return <BookScreen booked={booked} room={room} view={view} />;
}
