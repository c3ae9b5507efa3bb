'use client';

import { Button, Input } from 'antd';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { counted } from '@/core/quantity/counted';
import { formatWeight } from '@/core/quantity/weight';
import { momentWords } from '@/core/time/shopTime';
import type { BackStep } from '@/core/trace/trace';
import type { Traced, TraceView } from '@/server/trace';
import { Drill, ReachedButton } from './Drill';
import { Failed, Nothing } from '../kit/States';
import styles from './Trace.module.css';

const OF_WORDS: Readonly<Record<BackStep['of'], string>> = {
  pack: 'pack',
  smoke: 'smoke',
  cure: 'cure',
  batch: 'batch',
  ingredient: 'in it',
  tub: 'tub',
  block: 'block',
  side: 'side',
  animal: 'animal',
};

/** From a pack back to its animal, and from an animal or a lot forward to whoever has it: for the drill and the day it is none. */
export function TraceScreen({
  words,
  view,
  problem,
}: {
  words: string;
  view: TraceView | null;
  problem: string;
}) {
  const router = useRouter();
  return (
    <div className={styles.page}>
      <h1>Where from, and where to</h1>
      <div className={styles.ask}>
        <Input.Search
          autoFocus
          defaultValue={words}
          maxLength={300}
          aria-label="A pack, a tag or a lot"
          placeholder="Number or bars of a pack, tag of an animal, lot of a batch or an ingredient"
          enterButton="Trace"
          onSearch={(said) => router.push(`/trace?words=${encodeURIComponent(said.trim())}`)}
        />
        {view?.found && <Button onClick={() => window.print()}>Print</Button>}
      </div>
      {view?.found && <Drill view={view} />}
      {problem !== '' && <Failed words={problem} />}
      {view?.found ? (
        <Found found={view.found} view={view} />
      ) : (
        problem === '' && (
          <Nothing>
            Scan a pack, or type its number, a tag or a lot. A pack tells where it comes from; all three tell
            whom it reached, with telephones.
          </Nothing>
        )
      )}
    </div>
  );
}

function Found({ found, view }: { found: Traced; view: TraceView }) {
  const { unit, zone, readAt } = view;
  const { title, gone, back, reached, packs, weight } = found;
  return (
    <>
      <h2 className={styles.title}>{title}</h2>
      {gone && (
        <p className={styles.gone}>This pack was taken back: none with this number should be anywhere.</p>
      )}
      <p className="quiet">
        {counted(packs, 'pack')}, {formatWeight(weight, unit)} {unit}, {counted(reached.length, 'household')}
        {found.kind === 'pack' && ', of the same animal'}. Read {momentWords(zone, readAt)}.
      </p>
      <div className={back.length > 0 ? styles.columns : undefined}>
        {back.length > 0 && (
          <section>
            <h3>The way back</h3>
            <ol className={styles.back}>
              {back.map(({ of, words: said, at, by }, index) => (
                <li key={index} data-of={of}>
                  <b>{OF_WORDS[of]}</b>
                  <span>
                    {said}
                    <small>
                      {[at ? momentWords(zone, at) : '', by.join(' and ')].filter(Boolean).join(', ')}
                    </small>
                  </span>
                </li>
              ))}
            </ol>
          </section>
        )}
        <section>
          <h3>Whom it reached</h3>
          <table>
            <thead>
              <tr>
                <th>household</th>
                <th>telephone</th>
                <th>packs</th>
                <th className="num">{unit}</th>
                <th>where</th>
              </tr>
            </thead>
            <tbody>
              {reached.map((each) => (
                <tr key={each.shareId}>
                  <td>
                    <Link href={`/ticket/${each.shareId}`}>{each.owner}</Link>
                    <br />
                    <span className="quiet">{each.tag}</span>
                  </td>
                  <td>{each.phone || '–'}</td>
                  <td>
                    <details>
                      <summary>{counted(each.packs.length, 'pack')}</summary>
                      {each.packs.map(({ serial, cut }) => `no. ${serial} ${cut}`).join(', ')}
                    </details>
                  </td>
                  <td className="num">{formatWeight(each.weight, unit)}</td>
                  <td>
                    {each.isGone
                      ? 'picked up: ring'
                      : each.packs.length > 0
                        ? 'here'
                        : 'here, not packed yet'}{' '}
                    {view.drill &&
                      (view.drill.reached.includes(each.shareId) ? (
                        <b>reached</b>
                      ) : (
                        <ReachedButton drillId={view.drill.id} shareId={each.shareId} />
                      ))}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {reached.length === 0 && <Nothing>Nothing of it is packed yet.</Nothing>}
        </section>
      </div>
    </>
  );
}
