export { answerTo, writeAnswer, type Answer } from './answers';
export { forgetAttempts, noteAttempt, purgeAttempts, triesSince, type Attempt, type Tries } from './attempts';
export { writeAudit, type AuditLine } from './audit';
export {
  closeSession,
  endSession,
  openSession,
  openSessions,
  purgeSessions,
  sessionById,
  userOfSession,
  type ListedSession,
  type Session,
} from './sessions';
export { allUsers, ROLES, userByName, writeUser, type Role, type User } from './users';
