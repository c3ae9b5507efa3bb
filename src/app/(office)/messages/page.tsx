import { askForPage } from '@/app/door';
import { MessagesScreen } from '@/ui/messages/MessagesScreen';

export default async function MessagesPage() {
  return <MessagesScreen messages={await askForPage('messagesView', {})} />;
}
