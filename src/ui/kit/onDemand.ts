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
  if (typeof window !== 'undefined') setTimeout(() => void load().catch(() => undefined), SETTLED_AFTER);
  return dynamic(() => untilThere(load));
}

/** Milliseconds between tries while a part cannot be fetched. */
const TRY_AGAIN = 1000;

/** A part that cannot be fetched, since the network is away, is tried again: the page around it goes on meanwhile. */
async function untilThere<Part>(load: () => Promise<Part>): Promise<Part> {
  for (;;) {
    try {
      return await load();
    } catch {
      await new Promise((again) => setTimeout(again, TRY_AGAIN));
    }
  }
}
