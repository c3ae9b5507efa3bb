import { eventsView } from './eventsView';
import { endSession, sessionsView, unlockName } from './sessions';

export { hashSecret } from './secrets';
export { actorOf, signIn, signOut, type SignedIn } from './signIn';

export const people = { eventsView, sessionsView, endSession, unlockName } as const;
