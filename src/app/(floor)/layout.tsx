import { redirect } from 'next/navigation';
import type { ReactNode } from 'react';
import { currentActor } from '@/app/door';
import { Shell } from '@/ui/rail/Shell';

/** Stations on the floor: the whole screen is theirs. */
export default async function FloorLayout({ children }: { children: ReactNode }) {
  const actor = await currentActor();
  if (!actor) redirect('/sign-in');
  const { id, name, role } = actor;
  return <Shell who={{ id, name, role }}>{children}</Shell>;
}
