import { credentials } from '@/app/credentials';
import { askAs, currentActor } from '@/app/door';
import { addressOf, readBody, statusOf } from '@/app/http';
import { checkShape } from '@/core/shape/checkShape';
import { usualSurroundings } from '@/server/house/surroundings';
import { proved } from '@/server/people';

/** A second person at somebody's station, of a batch or of a brine: by name and secret it is their own deed, and their tries are counted. */
export async function POST(request: Request): Promise<Response> {
  if (!(await currentActor()))
    return Response.json(await askAs(undefined, 'lookSecond', {}), { status: 401 });
  const body = await readBody(request);
  if (!body.ok) return body.response;
  const { name, secret, ...asked } = Object(body.value) as Record<string, unknown>;
  const checked = checkShape(credentials, { name, secret });
  if (!checked.ok) return Response.json(checked, { status: statusOf(checked) });
  const { db, now } = usualSurroundings();
  const who = await proved(db, { ...checked.value, address: addressOf(request) }, now);
  const deed = 'mixId' in asked ? ('lookAtMix' as const) : ('lookSecond' as const);
  const result = who.ok ? await askAs(who.value, deed, asked) : who;
  return Response.json(result, { status: result.ok ? 200 : statusOf(result) });
}
