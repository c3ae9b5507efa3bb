import { headers } from 'next/headers';
import { askAsAnybody, askAsVisitor, visitorBy } from '@/app/door';
import { LinkHoldsNoMore } from '@/ui/mine/LinkHoldsNoMore';
import { MineScreen } from '@/ui/mine/MineScreen';

export const metadata = { title: 'Your meat', robots: { index: false, follow: false } };

/** A household's own page, by its private link. */
export default async function MinePage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const address = (await headers()).get('x-fractum-address') ?? 'unknown';
  const visitor = await visitorBy(token, address);
  if (!visitor.ok) return <Closed words={visitor.message} />;
  const { shareId } = visitor.value.actor;
  const mine = await askAsVisitor(visitor.value, 'householdSheetView', { shareId });
  if (!mine.ok) return <Closed words={mine.message} />;
  return <MineScreen token={token} mine={mine.value} />;
}

async function Closed({ words }: { words: string }) {
  const shop = await askAsAnybody('shopFrontView', {});
  return <LinkHoldsNoMore words={words} shop={shop.ok ? shop.value : null} />;
}
