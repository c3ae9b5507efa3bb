import { endSession, sessionsView, unlockName } from './sessions';

export { hashSecret } from './secrets';
export { actorOf, signIn, signOut, type SignedIn } from './signIn';

export const people = { sessionsView, endSession, unlockName } as const;
