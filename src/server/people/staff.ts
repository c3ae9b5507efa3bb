import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { levelAt, LEVELS, type Level } from '@/core/block/levels';
import { success, type Result } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import {
  allStaff,
  changeUser,
  endSessionsOf,
  levelsGiven,
  openSessions,
  ROLES,
  USER_STATES,
  writeLevel,
  writeUser,
  type Role,
  type StaffMember,
  type UserState,
} from '@/data/people';
import { clientId, id } from '../house/fields';
import { refuse, type Reason, type Refusal } from '../house/reasons';
import { defineUseCase, type House } from '../house/useCase';
import { hashSecret, SHORTEST_SECRET } from './secrets';

/** Somebody who works in the shop, or did. */
export type ListedStaff = StaffMember & {
  readonly sessions: number;
  readonly isOneself: boolean;
  /** How far they have come at the block. */
  readonly level: Level;
};

const name = Joi.string()
  .trim()
  .min(2)
  .max(60)
  .pattern(/^[^\p{Cc}]*$/u, { name: 'text without control characters' })
  .required();
const secret = Joi.string().min(SHORTEST_SECRET).max(200).required();
const role = Joi.valid(...ROLES).required();

type Done = { readonly personId: string };

/** Everybody who works in the shop or did, with the devices they are signed in on. */
export const staffView = defineUseCase<Record<string, never>, readonly ListedStaff[]>({
  name: 'staffView',
  roles: ['owner'],
  writes: false,
  input: Joi.object({}),
  run: async ({ db, now, actor }) => {
    const open = await openSessions(db, now.toISOString());
    const staff = await allStaff(db);
    const given = await levelsGiven(db);
    return success(
      staff.map((member) => ({
        ...member,
        sessions: open.filter(({ userId }) => userId === member.id).length,
        isOneself: member.id === actor.id,
        level: levelAt(given, member.id, instant(now)),
      })),
    );
  },
});

/** Takes somebody on: a name that is new, a role, and a secret to begin with. */
export const takeOn = defineUseCase<{ clientId: string; name: string; role: Role; secret: string }, Done>({
  name: 'takeOn',
  roles: ['owner'],
  writes: true,
  input: Joi.object({ clientId, name, role, secret }),
  subject: (input) => input.name,
  run: async ({ db }, input) => {
    const staff = await allStaff(db);
    const same = staff.find((member) => member.name.toLowerCase() === input.name.toLowerCase());
    if (same)
      return refuse(
        'already-taken',
        `There is a ${same.name} already. Names on labels and records must differ.`,
        'name',
      );
    const personId = randomUUID();
    await writeUser(db, {
      id: personId,
      name: input.name,
      role: input.role,
      secret: await hashSecret(input.secret),
    });
    return success({ personId });
  },
});

/** Gives somebody another role. Their sessions end, so that nothing of the old one stays open. */
export const changeRole = defineUseCase<{ clientId: string; personId: string; role: Role }, Done>({
  name: 'changeRole',
  roles: ['owner'],
  writes: true,
  input: Joi.object({ clientId, personId: id, role }),
  subject: ({ personId }) => personId,
  run: async (house, { personId, role: wanted }) => {
    const found = await memberOf(house, personId, { loses: wanted !== 'owner' });
    if (!found.ok) return found;
    await changeUser(house.db, personId, { role: wanted });
    await endSessionsOf(house.db, personId);
    return success({ personId });
  },
});

/** Says how far somebody has come at the block; the owner signs it, and what was before stays in the book. */
export const giveLevel = defineUseCase<{ clientId: string; personId: string; level: Level }, Done>({
  name: 'giveLevel',
  roles: ['owner'],
  writes: true,
  input: Joi.object({ clientId, personId: id, level: Joi.valid(...LEVELS).required() }),
  subject: ({ personId, level }) => `${personId} ${level}`,
  run: async (house, { personId, level }) => {
    const member = (await allStaff(house.db)).find((each) => each.id === personId);
    if (member?.role !== 'cutter') {
      return refuse('not-found', 'Only a cutter has a level at the block.', 'personId');
    }
    await writeLevel(house.db, { personId, level, at: instant(house.now), actorId: house.actor.id });
    return success({ personId });
  },
});

/** Gives somebody another secret; they are signed out everywhere. */
export const changeSecret = defineUseCase<{ clientId: string; personId: string; secret: string }, Done>({
  name: 'changeSecret',
  roles: ['owner'],
  writes: true,
  input: Joi.object({ clientId, personId: id, secret }),
  subject: ({ personId }) => personId,
  run: async (house, { personId, secret: wanted }) => {
    const found = await memberOf(house, personId, { loses: false });
    if (!found.ok) return found;
    await changeUser(house.db, personId, { secret: await hashSecret(wanted) });
    await endSessionsOf(house.db, personId);
    return success({ personId });
  },
});

/** Lets somebody rest, leave or come back. Who is not here cannot sign in; what they did keeps their name. */
export const changeStanding = defineUseCase<{ clientId: string; personId: string; state: UserState }, Done>({
  name: 'changeStanding',
  roles: ['owner'],
  writes: true,
  input: Joi.object({ clientId, personId: id, state: Joi.valid(...USER_STATES).required() }),
  subject: ({ personId }) => personId,
  run: async (house, { personId, state }) => {
    const found = await memberOf(house, personId, { loses: state !== 'here' });
    if (!found.ok) return found;
    await changeUser(house.db, personId, { state });
    if (state !== 'here') await endSessionsOf(house.db, personId);
    return success({ personId });
  },
});

/** @param change - whether the shop would lose an owner by it */
async function memberOf(
  { db, actor }: House,
  personId: string,
  { loses }: { loses: boolean },
): Promise<Result<StaffMember, Reason>> {
  const staff = await allStaff(db);
  const member = staff.find((each) => each.id === personId);
  if (!member) return refuse('not-found', 'Nobody of that name works here.', 'personId');
  return (loses ? ownerProblem(staff, member, actor.id) : undefined) ?? success(member);
}

function ownerProblem(
  staff: readonly StaffMember[],
  member: StaffMember,
  actorId: string,
): Refusal | undefined {
  if (member.id === actorId) {
    return refuse(
      'not-allowed',
      'Another owner has to do this for you: nobody locks themselves out.',
      'personId',
    );
  }
  const others = staff.filter(
    (each) => each.role === 'owner' && each.state === 'here' && each.id !== member.id,
  );
  if (member.role === 'owner' && others.length === 0) {
    return refuse(
      'not-allowed',
      `${member.name} is the only owner. Make somebody else one first.`,
      'personId',
    );
  }
  return undefined;
}
