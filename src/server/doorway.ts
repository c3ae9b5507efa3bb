import { randomUUID } from 'node:crypto';
import type Joi from 'joi';
import { failure, success, type Failure, type Result } from '@/core/quantity/result';
import { checkShape } from '@/core/shape/checkShape';
import { sharedDatabase, type Database } from '@/data/database';
import { writeAudit, type Role } from '@/data/repositories/users';
import { devices, type Devices } from './devices';
import { log } from './log';

/** Who is at the door. */
export type Actor = { readonly id: string; readonly name: string; readonly role: Role };

/** What a use case works with. `db` is a transaction when the use case writes. */
export type House = {
  readonly db: Database;
  readonly actor: Actor;
  readonly now: Date;
  readonly devices: Devices;
};

/** One thing that can be asked of the house. */
export type UseCase<Input, Output> = {
  readonly name: string;
  readonly roles: readonly Role[];
  readonly input: Joi.Schema<Input>;
  /** Writers run in one transaction that a refusal rolls back, and leave an audit line. */
  readonly writes: boolean;
  /** What the audit line is about. */
  readonly subject?: (input: Input) => string;
  readonly run: (house: House, input: Input) => Promise<Result<Output>>;
  /** Done after the transaction is safe on disk: printing. */
  readonly after?: (house: House, output: Output) => Promise<Output>;
};

/** Keeps input and output types while declaring. */
export function defineUseCase<Input, Output>(declared: UseCase<Input, Output>): UseCase<Input, Output> {
  return declared;
}

export const EVERYONE: readonly Role[] = ['owner', 'counter', 'cutter', 'wrapper', 'smoker'];
export const OFFICE: readonly Role[] = ['owner', 'counter'];

/** Carries a refusal out of a transaction so that it is rolled back. */
class Refused extends Error {
  constructor(readonly failure: Failure) {
    super(failure.message);
  }
}

/** Where the house works when nothing else is given: the shared database, the real clock, the devices. */
export type Surroundings = { readonly db: Database; readonly now: Date; readonly devices: Devices };

export function usualSurroundings(): Surroundings {
  return { db: sharedDatabase(), now: new Date(), devices: devices() };
}

/**
 * The one way in: who it is and whether they may, whether the input has the right shape, the use case itself
 * in one transaction, and an audit line. Every handler, action and page goes through here.
 *
 * @param actor - undefined when nobody is signed in
 */
export async function passDoorway<Input, Output>(
  asked: UseCase<Input, Output>,
  raw: unknown,
  actor: Actor | undefined,
  around: Surroundings = usualSurroundings(),
): Promise<Result<Output>> {
  const result = await admit(asked, raw, actor, around);
  if (!result.ok && asked.writes) {
    await audit(around.db, {
      asked: asked.name,
      actor,
      at: around.now,
      outcome: result.reason,
      subject: null,
    });
  }
  return result;
}

async function admit<Input, Output>(
  asked: UseCase<Input, Output>,
  raw: unknown,
  actor: Actor | undefined,
  around: Surroundings,
): Promise<Result<Output>> {
  if (!actor)
    return failure('not-signed-in', 'You are not signed in. Sign in and try again; nothing was changed.');
  if (!asked.roles.includes(actor.role)) {
    return failure('not-allowed', `This is not for the ${actor.role}. Ask ${asked.roles.join(' or ')}.`);
  }
  const checked = checkShape(asked.input, raw);
  if (!checked.ok) return checked;
  try {
    return await perform(asked, checked.value, { ...around, actor });
  } catch (error) {
    if (error instanceof Refused) return error.failure;
    const reference = randomUUID().slice(0, 8);
    log().error({ reference, action: asked.name, actor: actor.id, error }, 'use case failed');
    const message = `Something went wrong on our side and nothing was changed. Try again; if it stays, say ${reference}.`;
    return failure('unexpected', message);
  }
}

async function perform<Input, Output>(
  asked: UseCase<Input, Output>,
  input: Input,
  house: House,
): Promise<Result<Output>> {
  if (!asked.writes) return asked.run(house, input);
  const output = await house.db.transaction(async (db) => {
    const result = await asked.run({ ...house, db }, input);
    if (!result.ok) throw new Refused(result);
    const subject = asked.subject?.(input) ?? null;
    await audit(db, { asked: asked.name, actor: house.actor, at: house.now, outcome: 'done', subject });
    return result.value;
  });
  return success(asked.after ? await asked.after(house, output) : output);
}

async function audit(
  db: Database,
  line: { asked: string; actor: Actor | undefined; at: Date; outcome: string; subject: string | null },
): Promise<void> {
  await writeAudit(db, {
    at: line.at.toISOString(),
    actor: line.actor?.id ?? 'nobody',
    role: line.actor?.role ?? 'none',
    action: line.asked,
    outcome: line.outcome,
    subject: line.subject,
  });
  log().info(
    { action: line.asked, actor: line.actor?.id, outcome: line.outcome, subject: line.subject },
    'action',
  );
}
