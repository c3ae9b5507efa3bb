import { inSentence } from '@/core/quantity/inSentence';
import { formatWeight, sumWeights, type WeighingUnit } from '@/core/quantity/weight';
import type { BlockWish } from '@/core/block/wishes';
import type { BlockStop } from '@/core/block/steps';
import type { StepAtBlock } from '@/server/block';
import { PARTING } from './CutThrough';
import { itemsOf, type Item } from './items';
import styles from './StepPanel.module.css';

type Props = { step: StepAtBlock; unit: WeighingUnit };

/** The step in hand: where, with what, what this customer wants there, and what must not be cut. */
export function StepPanel({ step, unit }: Props) {
  const { title, where, place, counted, line, stays, off, stops, caution } = step;
  const parts = stays.length > 0 && off.length > 0;
  return (
    <section className={styles.step} aria-label={title}>
      <h2>{title}</h2>
      {!step.mayDo && (
        <p className={styles.notYet}>Not yours yet. Whoever cuts fully does it; look on, then go on.</p>
      )}
      <p className={styles.where} hidden={!step.mayDo}>
        {place !== '' && <b>{place.charAt(0).toUpperCase() + place.slice(1)}. </b>}
        {where}
      </p>
      <p className={styles.tools} hidden={!step.mayDo}>
        {line.saw.length > 0 && <Stroke kind="saw" />}
        {line.knife.length > 0 && <Stroke kind="knife" />}
        {step.with}
      </p>
      {parts ? (
        <div className={styles.parted}>
          <Half
            figure={counted?.stay}
            words={counted ? `${counted.bone} ${counted.stay} and up stay` : 'stays up'}
            wishes={stays}
            unit={unit}
            listed={1}
          />
          <hr {...{ [PARTING]: '' }} />
          <Half
            figure={counted?.off}
            words={counted ? `up to ${counted.bone} ${counted.off} comes off` : 'comes off'}
            wishes={off}
            unit={unit}
            listed={stops.length > 0 ? 1 : 2}
          />
        </div>
      ) : (
        <div className={styles.parted} data-parts={false}>
          <Half
            figure={undefined}
            words={off.length > 0 ? 'wanted here' : ''}
            wishes={off}
            unit={unit}
            listed={stops.length > 0 ? 2 : 5}
          />
        </div>
      )}
      {stops.map((stop) => (
        <Stop key={stop.says} stop={stop} unit={unit} />
      ))}
      <p className={styles.caution}>
        <b aria-hidden>⚠</b> {caution}
      </p>
    </section>
  );
}

function Stroke({ kind }: { kind: 'saw' | 'knife' }) {
  return (
    <svg viewBox="0 0 44 20" className={styles.stroke} role="img" aria-label={kind}>
      <path d={kind === 'saw' ? 'M2 10L8 3L14 17L20 3L26 17L32 3L38 17L42 10' : 'M2 10H42'} />
    </svg>
  );
}

type HalfProps = {
  /** So many of the smaller things stand below the first; the others are counted. */
  listed: number;
  figure: number | undefined;
  words: string;
  wishes: readonly BlockWish[];
  unit: WeighingUnit;
};

function Half({ figure, words, wishes, unit, listed }: HalfProps) {
  const [head, ...rest] = itemsOf(wishes);
  const others = wishes.flatMap((wish) => wish.others.map((other) => ({ ...other, title: wish.title })));
  const shown = rest.slice(0, listed);
  return (
    <div className={styles.half} data-counted={figure !== undefined}>
      {figure !== undefined && <span className={styles.figure}>{figure}</span>}
      <div className={styles.wanted}>
        <span className={styles.words}>
          {words}
          {head?.owner ? `, ${head.owner}` : ''}
        </span>
        {head && <Headline item={head} unit={unit} />}
        {shown.length > 0 && (
          <ul>
            {shown.map((item) => (
              <li key={item.key} data-open={item.isOpen || undefined}>
                <b>{item.count}</b>
                <span>
                  {item.words} <small>{[item.owner, item.sizes].filter(Boolean).join(', ')}</small>
                </span>
                <b>{item.weight === null ? '' : formatWeight(item.weight, 1)}</b>
              </li>
            ))}
          </ul>
        )}
        {rest.length > listed && <span className={styles.words}>and {rest.length - listed} more</span>}
      </div>
      {others.length > 0 && (
        <div className={styles.others}>
          <span className={styles.words}>{[...new Set(others.map(({ name }) => name))].join(', ')}</span>
          {others.slice(0, listed).map(({ says, sizes, title }) => (
            <p key={`${title} ${says}`}>
              <b>
                {title}: {inSentence(says)}
              </b>
              <small>{sizes.join(', ')}</small>
            </p>
          ))}
          {others.length > listed && <span className={styles.words}>and {others.length - listed} more</span>}
        </div>
      )}
    </div>
  );
}

function Headline({ item, unit }: { item: Item; unit: WeighingUnit }) {
  return (
    <>
      <strong className={styles.headline} data-open={item.isOpen || undefined}>
        {item.count} {item.words}
      </strong>
      {(item.sizes !== '' || item.weight !== null) && (
        <span className={styles.sizes}>
          {item.sizes}
          {item.weight !== null && (
            <>
              {item.sizes !== '' && ', '}
              <b>{formatWeight(item.weight, 1)}</b> {unit}
            </>
          )}
        </span>
      )}
    </>
  );
}

function Stop({ stop, unit }: { stop: BlockStop; unit: WeighingUnit }) {
  const weight = sumWeights(stop.stake.map((cut) => cut.weight));
  const cuts = [...new Set(stop.stake.map(({ cut }) => cut.toLowerCase()))];
  return (
    <div className={styles.stop} role="note">
      <strong>{stop.says}</strong>
      <p>
        {stop.because.charAt(0).toUpperCase() + stop.because.slice(1)}.
        {weight > 0 && (
          <>
            {' '}
            On this sheet <b>{formatWeight(weight, 1)}</b> {unit} stand on it: {cuts.join(', ')}.
          </>
        )}
      </p>
    </div>
  );
}
