'use client';

import { usePathname, useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { DoorProvider } from '../kit/door';
import { openDialogs } from '../kit/keys/scopes';
import { useKey } from '../kit/keys/useKey';
import { useHouseEvents } from '../kit/live/useLive';
import { endedSession } from '../kit/session';
import { useSignal } from '../kit/useSignal';
import { WhoIsHere, type Who } from '../kit/Who';
import { onDemand } from '../kit/onDemand';
import { useFloorWorker } from '../offline/useFloorWorker';
import { useFloorDoor } from '../outbox/useFloorDoor';
import { OutboxMark } from '../outbox/OutboxMark';
import { ShellContext, type Opened } from './shellContext';
import { hooksFor, shareInHand } from './stages';

const SignInDialog = onDemand(() => import('../kit/SignInDialog').then((module) => module.SignInDialog));
const Palette = onDemand(() => import('./Palette').then((module) => module.Palette));
const KeyHelp = onDemand(() => import('./KeyHelp').then((module) => module.KeyHelp));

/** What every page of somebody signed in has: the keys that hold everywhere, what they open, and the house's events. */
export function Shell({ who, children }: { who: Who; children: ReactNode }) {
  const ended = useSignal(endedSession);
  const [opened, setOpened] = useState<Opened>(null);
  const path = usePathname();
  const router = useRouter();
  const hooks = hooksFor(who.role);
  const shareId = shareInHand(path);
  const door = useFloorDoor(who);
  useHouseEvents();
  useFloorWorker();
  useKey('anywhere', 'find', () => setOpened('palette'));
  useKey('anywhere', 'findToo', () => setOpened('palette'));
  useKey('anywhere', 'help', () => setOpened('keys'));
  useKey('anywhere', 'ticket', () => router.push(`/ticket/${shareId}`), shareId !== undefined);
  useHotkeys(
    hooks.map(({ key }) => `g>${key}`),
    (_, { keys }) => {
      const hook = hooks.find(({ key }) => key === keys?.at(-1));
      if (hook) router.push(hook.path);
    },
    { enabled: useSignal(openDialogs) === 0 },
  );
  const close = () => setOpened(null);
  return (
    <WhoIsHere who={who}>
      <ShellContext.Provider value={setOpened}>
        <OutboxMark />
        <DoorProvider value={door}>{children}</DoorProvider>
        {opened === 'palette' && <Palette shareId={shareId} onClose={close} />}
        {opened === 'keys' && <KeyHelp hooks={hooks} onClose={close} />}
        {ended && <SignInDialog onDone={ended.answer} />}
      </ShellContext.Provider>
    </WhoIsHere>
  );
}
