'use client';

import { Button, ConfigProvider } from 'antd';
import Link, { useLinkStatus } from 'next/link';
import { usePathname } from 'next/navigation';
import { useState, type CSSProperties, type ReactNode } from 'react';
import type { Failure } from '@/core/quantity/result';
import type { Rail } from '@/server/rail';
import { connection } from '../kit/live/hub';
import { useLive } from '../kit/live/useLive';
import { signOut } from '../kit/signIn';
import { floorTheme } from '../kit/theme';
import { Old } from '../kit/States';
import { useSignal } from '../kit/useSignal';
import { useWho } from '../kit/Who';
import styles from './RailFrame.module.css';
import { useOpen } from './shellContext';
import { hooksFor, isFloorRole, type Hook } from './stages';

/** The rail across the top: the stages of the work, with what waits at each, and below it what is worked on. */
export function RailFrame({ rail: first, children }: { rail: Rail; children: ReactNode }) {
  const { name, role } = useWho();
  const { value: rail } = useLive('railView', {}, first);
  const open = useOpen();
  const hooks = hooksFor(role);
  const away = useSignal(connection) === 'away';
  const [stays, setStays] = useState<Failure<'offline'>>();
  const frame = (
    <div
      className={styles.frame}
      style={{ '--hooks': hooks.length } as CSSProperties}
      {...(isFloorRole(role) ? { 'data-ground': 'floor' } : {})}
    >
      <nav className={styles.rail} aria-label="Rail">
        <Link href="/today" className={styles.mark}>
          Fractum
        </Link>
        <ol className={styles.hooks}>
          {hooks.map((hook) => (
            <HookOnRail key={hook.path} hook={hook} rail={rail} />
          ))}
        </ol>
        <span className={styles.end}>
          <button type="button" className={styles.find} onClick={() => open('palette')}>
            Find <kbd>Ctrl K</kbd>
          </button>
          {role === 'owner' && <ShopLink />}
          <span className={styles.who}>
            {role === 'owner' ? name : `${name}, ${role}`}
            <Button type="link" onClick={() => void signOut().then(setStays)}>
              Sign out
            </Button>
          </span>
        </span>
      </nav>
      {away && <Old words="The network is away. What is shown may be old; what you type stays here." />}
      {stays && <Old words={stays.message} />}
      <main className={styles.work}>{children}</main>
    </div>
  );
  return isFloorRole(role) ? <ConfigProvider theme={floorTheme}>{frame}</ConfigProvider> : frame;
}

/** What the owner sets up: prices first. */
function ShopLink() {
  const here = usePathname().startsWith('/shop');
  return (
    <Link
      href="/shop/prices"
      className={here ? styles.shopHere : styles.shop}
      aria-current={here ? 'page' : undefined}
    >
      The shop
    </Link>
  );
}

/** The page is on its way: the hook that was pressed says so. */
function Going() {
  const { pending } = useLinkStatus();
  return <i className={styles.going} data-pending={pending || undefined} aria-hidden />;
}

/** Shares have pages of their own under other names: the eye is at the stage that the page belongs to. */
function HookOnRail({ hook: { word, path, stage, isPlate, isEnd }, rail }: { hook: Hook; rail: Rail }) {
  const here = usePathname();
  const isHere = here === path || here.startsWith(`${path}/`);
  const classes = [isHere ? styles.here : '', isPlate ? styles.plate : '', isEnd ? styles.last : '']
    .filter(Boolean)
    .join(' ');
  return (
    <li className={classes || undefined}>
      <Link href={path} aria-current={isHere ? 'page' : undefined}>
        {word} {stage && <span className={styles.count}>{rail.counts[stage]}</span>}
        <Going />
      </Link>
    </li>
  );
}
