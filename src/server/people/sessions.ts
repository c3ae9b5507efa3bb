import Joi from 'joi';
import { success } from '@/core/quantity/result';
import {
  endSession as end,
  forgetAttempts,
  openSessions,
  sessionById,
  type ListedSession,
} from '@/data/people';
import { isOwner } from '../house/actor';
import { clientId, id } from '../house/fields';
import { refuse } from '../house/reasons';
import { defineUseCase, STAFF } from '../house/useCase';

/** The sessions that are open: one's own, or for the owner everybody's. */
export const sessionsView = defineUseCase<Record<string, never>, readonly ListedSession[]>({
  name: 'sessionsView',
  roles: STAFF,
  writes: false,
  input: Joi.object({}),
  run: async ({ db, now, actor }) =>
    success(await openSessions(db, now.toISOString(), isOwner(actor) ? undefined : actor.id)),
});

/** Ends a session at once: one's own, or for the owner anybody's. */
export const endSession = defineUseCase<{ clientId: string; sessionId: string }, true>({
  name: 'endSession',
  roles: STAFF,
  writes: true,
  input: Joi.object({ clientId, sessionId: id }),
  subject: (input) => input.sessionId,
  run: async ({ db, actor }, { sessionId }) => {
    const session = await sessionById(db, sessionId);
    if (!session) return success(true);
    if (session.userId !== actor.id && !isOwner(actor)) {
      return refuse('not-allowed', 'This is the session of somebody else. Ask the owner.');
    }
    await end(db, sessionId);
    return success(true);
  },
});

/** Lets a name sign in again at once that rests after too many wrong tries. */
export const unlockName = defineUseCase<{ clientId: string; name: string }, true>({
  name: 'unlockName',
  roles: ['owner'],
  writes: true,
  input: Joi.object({ clientId, name: Joi.string().trim().max(60).required() }),
  subject: (input) => input.name,
  run: async ({ db }, { name }) => {
    await forgetAttempts(db, name);
    return success(true);
  },
});
