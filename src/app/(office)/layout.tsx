import { redirect } from 'next/navigation';
import type { ReactNode } from 'react';
import { askForPage, currentActor } from '@/app/door';
import { RailFrame } from '@/ui/rail/RailFrame';
import { Shell } from '@/ui/rail/Shell';

/** Pages under the rail. */
export default async function RailLayout({ children }: { children: ReactNode }) {
  const actor = await currentActor();
  if (!actor) redirect('/sign-in');
  const { id, name, role } = actor;
  const rail = await askForPage('railView', {});
  return (
    <Shell who={{ id, name, role }}>
      <RailFrame rail={rail}>{children}</RailFrame>
    </Shell>
  );
}
