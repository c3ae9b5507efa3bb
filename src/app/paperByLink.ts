import { askAsVisitor, visitorBy } from '@/app/door';
import { addressOf, statusOf } from '@/app/http';
import { pdf } from '@/app/pdf';
import type { OutputOf } from '@/server/useCases';

type Params = { params: Promise<{ token: string }> };

/** Answers a private link with a paper of its own share, made from a view that is open to the household. */
export function paperByLink<Name extends 'householdCopyView' | 'householdStatementView'>(
  view: Name,
  { named, make }: { readonly named: string; readonly make: (said: OutputOf<Name>) => Promise<Uint8Array> },
) {
  return async (request: Request, { params }: Params): Promise<Response> => {
    const visitor = await visitorBy((await params).token, addressOf(request));
    if (!visitor.ok) return Response.json(visitor, { status: statusOf(visitor) });
    const said = await askAsVisitor(visitor.value, view, { shareId: visitor.value.link.shareId });
    if (!said.ok) return Response.json(said, { status: statusOf(said) });
    return pdf(await make(said.value), named);
  };
}
