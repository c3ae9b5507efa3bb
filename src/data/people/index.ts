export { answerTo, writeAnswer, type Answer } from './answers';
export { forgetAttempts, noteAttempt, purgeAttempts, triesSince, type Attempt, type Tries } from './attempts';
export { writeAudit, type AuditLine } from './audit';
export {
  closeSession,
  endSession,
  endSessionsOf,
  openSession,
  openSessions,
  purgeSessions,
  sessionById,
  userOfSession,
  type ListedSession,
  type Session,
} from './sessions';
export { levelsGiven, writeLevel } from './levels';
export {
  allStaff,
  allUsers,
  changeUser,
  ROLES,
  USER_STATES,
  userByName,
  writeUser,
  type Role,
  type StaffMember,
  type User,
  type UserState,
} from './users';
