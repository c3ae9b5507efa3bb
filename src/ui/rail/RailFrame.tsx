'use client';

import { Button } from 'antd';
import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useState, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Rail } from '@/server/rail';
import { KeyHelp } from './KeyHelp';
import { Palette } from './Palette';
import styles from './RailFrame.module.css';
import { STAGE_WORDS, stagesFor } from './stages';

type Props = { rail: Rail; who: { name: string; role: string }; children: ReactNode };

/** The rail across the top: the stages of the work, with what waits at each. */
export function RailFrame({ rail, who, children }: Props) {
  const path = usePathname();
  const router = useRouter();
  const [open, setOpen] = useState<'palette' | 'keys' | null>(null);
  useHotkeys('mod+k', () => setOpen('palette'), { preventDefault: true, enableOnFormTags: true });
  useHotkeys('?', () => setOpen('keys'), {
    useKey: true,
    ignoreModifiers: true,
    enableOnFormTags: ['radio'],
  });
  const stages = stagesFor(who.role);
  useHotkeys(
    stages.map((stage) => `g>${STAGE_WORDS[stage].key}`),
    (_, handler) => {
      const key = handler.keys?.join('').slice(-1);
      const stage = stages.find((each) => STAGE_WORDS[each].key === key);
      if (stage) router.push(`/${stage}`);
    },
  );
  useRefreshOnReturn();
  return (
    <div className={styles.frame}>
      <nav className={styles.rail} aria-label="Rail">
        <Link href="/" className={styles.mark}>
          Fractum
        </Link>
        <ol className={styles.hooks}>
          {stages.map((stage) => {
            const here = path === `/${stage}` || path.startsWith(`/${stage}/`);
            return (
              <li key={stage} className={here ? styles.here : undefined}>
                <Link href={`/${stage}`} aria-current={here ? 'page' : undefined}>
                  {STAGE_WORDS[stage].word} <span className={styles.count}>{rail.counts[stage]}</span>
                </Link>
              </li>
            );
          })}
        </ol>
        <button type="button" className={styles.find} onClick={() => setOpen('palette')}>
          Find <kbd>Ctrl K</kbd>
        </button>
        <span className={styles.who}>
          {who.name}, {who.role}
          <Button type="link" size="small" onClick={() => void signOut()}>
            Sign out
          </Button>
        </span>
      </nav>
      <main className={styles.work}>{children}</main>
      <Palette open={open === 'palette'} onClose={() => setOpen(null)} stages={stages} />
      <KeyHelp open={open === 'keys'} onClose={() => setOpen(null)} />
    </div>
  );
}

async function signOut(): Promise<void> {
  await fetch('/api/sign-out', { method: 'POST' });
  window.location.assign('/sign-in');
}

/** Somebody else has worked meanwhile: coming back to the window loads the counts again. */
function useRefreshOnReturn() {
  const router = useRouter();
  useEffect(() => {
    const refresh = () => router.refresh();
    window.addEventListener('focus', refresh);
    return () => window.removeEventListener('focus', refresh);
  }, [router]);
}
