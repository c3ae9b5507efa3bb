import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { askAsAnybody, askAsVisitor, visitorBy } from '@/app/door';
import type { Visitor } from '@/server/links';
import type { OutputOf, UseCaseName } from '@/server/useCases';
import { LinkHoldsNoMore } from '@/ui/mine/LinkHoldsNoMore';

/** Shows a private page to whoever comes by a link, or says kindly that it is closed. */
export async function visit(
  token: string,
  show: (visitor: Visitor) => Promise<ReactNode>,
): Promise<ReactNode> {
  const address = (await headers()).get('x-fractum-address') ?? 'unknown';
  const visitor = await visitorBy(token, address);
  return visitor.ok ? show(visitor.value) : <Closed words={visitor.message} />;
}

/** Shows what a visitor asks for, or why they may not see it. */
export async function shown<Name extends UseCaseName>(
  visitor: Visitor,
  { view, input, show }: { view: Name; input: unknown; show: (value: OutputOf<Name>) => ReactNode },
): Promise<ReactNode> {
  const answer = await askAsVisitor(visitor, view, input);
  return answer.ok ? show(answer.value) : <Closed words={answer.message} />;
}

async function Closed({ words }: { words: string }) {
  const shop = await askAsAnybody('shopFrontView', {});
  return <LinkHoldsNoMore words={words} shop={shop.ok ? shop.value : null} />;
}
