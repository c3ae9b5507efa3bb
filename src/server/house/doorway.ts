import { createHash, randomUUID } from 'node:crypto';
import type { ShareId } from '@/core/order/animal';
import type { ShareFile } from '@/core/order/shareFile';
import { success, type Result } from '@/core/quantity/result';
import { checkShape } from '@/core/shape/checkShape';
import type { Database } from '@/data/database';
import { answerTo, writeAnswer, writeAudit } from '@/data/people';
import { sharesOfOtherFarms } from '@/data/rail';
import { restage } from '../rail/restage';
import { roleOf, type Actor } from './actor';
import { log } from './log';
import { refuse, type Reason, type Refusal } from './reasons';
import { usualSurroundings, type Surroundings } from './surroundings';
import type { House, Rows, UseCase } from './useCase';

/** Carries a refusal out of a transaction so that it is rolled back. */
class Refused extends Error {
  constructor(readonly refusal: Refusal) {
    super(refusal.message);
  }
}

/**
 * The one way in: who it is and whether they may, whether the input has the right shape, the use case itself in one
 * transaction, the stage of every share it touched, an audit line, and the answer kept by the id it was asked with.
 * What was done is published once it is safe. Every handler, action and page goes through here.
 *
 * @param actor - undefined when nobody is signed in
 */
export async function passDoorway<Input, Output>(
  asked: UseCase<Input, Output>,
  raw: unknown,
  actor: Actor | undefined,
  around: Surroundings = usualSurroundings(),
): Promise<Result<Output, Reason>> {
  if (!actor) {
    log().info({ action: asked.name, outcome: 'not-signed-in' }, 'refused');
    return refuse('not-signed-in', 'You are not signed in. Sign in and try again; nothing was changed.');
  }
  const result = await admit(asked, raw, actor, around);
  if (!result.ok && asked.writes && !asked.isDraft) {
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
  actor: Actor,
  around: Surroundings,
): Promise<Result<Output, Reason>> {
  if (!isOpenTo(asked, actor)) {
    return refuse('not-allowed', `This is not for the ${roleOf(actor)}. Ask ${asked.roles.join(' or ')}.`);
  }
  const checked = checkShape(asked.input.required(), raw);
  if (!checked.ok) return checked;
  try {
    return await perform({ asked, input: checked.value, actor }, around);
  } catch (error) {
    if (error instanceof Refused) return error.refusal;
    const reference = randomUUID().slice(0, 8);
    log().error({ reference, action: asked.name, actor: actor.id, error }, 'use case failed');
    const message = `Something went wrong on our side and nothing was changed. Try again; if it stays, say ${reference}.`;
    return refuse('unexpected', message);
  }
}

/** A question whose shape is right, and who asks it. */
type Question<Input, Output> = {
  readonly asked: UseCase<Input, Output>;
  readonly input: Input;
  readonly actor: Actor;
};

/** Whether a kind of actor may ask this at all. */
export function isOpenTo(
  { roles, others = [] }: Pick<UseCase<never, unknown>, 'roles' | 'others'>,
  actor: Actor,
): boolean {
  return actor.kind === 'staff' ? roles.includes(actor.role) : others.includes(actor.kind);
}

async function perform<Input, Output>(
  question: Question<Input, Output>,
  around: Surroundings,
): Promise<Result<Output, Reason>> {
  const { asked, input, actor } = question;
  const { events, ...place } = around;
  const touched = new Map<ShareId, ShareFile | undefined>();
  const touch: House['touch'] = (shareId, file) => touched.set(shareId, file);
  const houseOn = async (db: Database): Promise<House> => {
    const setUp = await place.setUps.now(db);
    return { ...place, db, actor, touch, setUp, catalogue: setUp.catalogue };
  };
  if (!asked.writes) {
    return inTransaction(around, async (db) => {
      await checkRow(question, db);
      return asked.run(await houseOn(db), input);
    });
  }
  const done = await inTransaction(around, async (db) => {
    touched.clear();
    await checkRow(question, db);
    const known = await knownAnswer(question, db);
    if (known) return known;
    const result = await asked.run(await houseOn(db), input);
    if (!result.ok) throw new Refused(result);
    await restage(db, around.setUps, touched);
    await keep(asked, input, { actor, at: around.now, db, output: result.value });
    // Before the commit, while nobody else can read: whoever comes next must not meet what was.
    for (const [shareId, file] of touched) around.files.replace(shareId, file);
    return result;
  });
  const clientId = clientIdOf(input);
  events.publish({ asked: asked.name, shares: [...touched.keys()], ...(clientId ? { clientId } : {}) });
  return done;
}

/** Rights on rows: who has a right to some only must have one to all that is asked for. */
async function checkRow<Input, Output>(
  { asked, input, actor }: Question<Input, Output>,
  db: Database,
): Promise<void> {
  if (actor.kind !== 'household' && actor.kind !== 'farmer') return;
  const { shareId } = input as { shareId?: ShareId };
  const rows = asked.rows ? asked.rows(input) : { shares: shareId ? [shareId] : [] };
  if (await areTheirs(actor, rows, db)) return;
  throw new Refused(refuse('not-allowed', 'This share is not yours to see. Check the link you were sent.'));
}

async function areTheirs(
  actor: Extract<Actor, { kind: 'household' | 'farmer' }>,
  { shares = [], farm }: Rows,
  db: Database,
): Promise<boolean> {
  if (shares.length === 0 && farm === undefined) return false;
  if (actor.kind === 'household') {
    return farm === undefined && shares.every((shareId) => shareId === actor.shareId);
  }
  if (farm !== undefined && farm !== actor.farmId) return false;
  return (await sharesOfOtherFarms(db, { shareIds: shares, farmId: actor.farmId })) === 0;
}

function clientIdOf(input: unknown): string | undefined {
  const id = (input as { clientId?: unknown } | null)?.clientId;
  return typeof id === 'string' ? id : undefined;
}

/** Of the input, whatever order its fields came in. A secret leaves no trace here: a plain hash of it could be guessed. */
function hashOf(input: unknown): string {
  const sorted = JSON.stringify(input, (key, value: unknown) =>
    key === 'secret'
      ? undefined
      : value !== null && typeof value === 'object' && !Array.isArray(value)
        ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
        : value,
  );
  return createHash('sha256').update(sorted).digest('base64url');
}

/** What was answered when the same was asked with the same id; the same id for something else is refused. */
async function knownAnswer<Input, Output>(
  { asked, input, actor }: Question<Input, Output>,
  db: Database,
): Promise<Result<Output, Reason> | undefined> {
  const clientId = clientIdOf(input);
  const known = clientId !== undefined && !asked.isDraft ? await answerTo(db, clientId) : undefined;
  if (!known) return undefined;
  const isSame =
    known.asked === asked.name && known.actorId === actor.id && known.inputHash === hashOf(input);
  if (isSame) return success(known.output as Output);
  const message =
    'This was sent before with other words. Nothing was changed; load the page again and write it anew.';
  throw new Refused(refuse('id-reused', message));
}

type Done = { readonly actor: Actor; readonly at: Date; readonly db: Database; readonly output: unknown };

async function keep<Input>(
  asked: UseCase<Input, never> | UseCase<Input, unknown>,
  input: Input,
  { actor, at, db, output }: Done,
): Promise<void> {
  if (asked.isDraft) return;
  const subject = asked.subject?.(input) ?? null;
  await audit(db, { asked: asked.name, actor, at, outcome: 'done', subject });
  const clientId = clientIdOf(input);
  if (clientId === undefined) return;
  const answer = { clientId, asked: asked.name, actorId: actor.id, inputHash: hashOf(input), output };
  await writeAnswer(db, { ...answer, at: at.toISOString() });
}

/** A script that writes beside the app holds the file for a moment; what then fails has changed nothing. */
const TRIES_WHEN_BUSY = 5;

async function inTransaction<T>({ db, files }: Surroundings, work: (db: Database) => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries += 1) {
    try {
      return await db.transaction(async (trx) => {
        await files.begin(trx);
        try {
          return await work(trx);
        } catch (error) {
          // Before the rollback, for the same reason: what was read in here may never have been.
          files.forgetAll();
          throw error;
        }
      });
    } catch (error) {
      // A commit can fail as well.
      files.forgetAll();
      const isBusy = String((error as { code?: unknown }).code).startsWith('SQLITE_BUSY');
      if (!isBusy || tries === TRIES_WHEN_BUSY) throw error;
    }
  }
}

type Line = { asked: string; actor: Actor; at: Date; outcome: string; subject: string | null };

async function audit(db: Database, { asked, actor, at, outcome, subject }: Line): Promise<void> {
  const line = { actor: actor.id, role: roleOf(actor), action: asked, outcome, subject };
  await writeAudit(db, { at: at.toISOString(), ...line });
  log().info(line, 'action');
}
