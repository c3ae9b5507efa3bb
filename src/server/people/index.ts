import { eventsView } from './eventsView';
import { endSession, sessionsView, unlockName } from './sessions';
import { changeRole, changeSecret, changeStanding, giveLevel, staffView, takeOn } from './staff';

export { hashSecret, SHORTEST_SECRET } from './secrets';
export { actorOf, proved, signIn, signOut, type SignedIn } from './signIn';

export type { ListedStaff } from './staff';

export const people = {
  eventsView,
  sessionsView,
  endSession,
  unlockName,
  staffView,
  takeOn,
  changeRole,
  giveLevel,
  changeSecret,
  changeStanding,
} as const;
