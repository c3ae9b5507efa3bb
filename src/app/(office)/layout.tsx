import type { ReactNode } from 'react';
import { askForPage, currentActor } from '@/app/door';
import { RailFrame } from '@/ui/rail/RailFrame';

export default async function OfficeLayout({ children }: { children: ReactNode }) {
  const rail = await askForPage('railView', {});
  const actor = (await currentActor())!;
  return (
    <RailFrame rail={rail} who={{ name: actor.name, role: actor.role }}>
      {children}
    </RailFrame>
  );
}
