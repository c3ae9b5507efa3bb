import dynamic from 'next/dynamic';
import type { ComponentType } from 'react';

/** Milliseconds of a page's life before what it may need later is fetched: what is shown comes first. */
const SETTLED_AFTER = 2000;

/**
 * A dialog or editor that is not part of a page's first load. It is fetched by itself once the page has settled, so that
 * it opens with the network away too; whoever wants it sooner fetches it then.
 */
export function onDemand<Props extends object>(
  load: () => Promise<ComponentType<Props>>,
): ComponentType<Props> {
  // A fetch that fails is tried again by whoever opens it.
  if (typeof window !== 'undefined') setTimeout(() => void load().catch(() => undefined), SETTLED_AFTER);
  return dynamic(load);
}
