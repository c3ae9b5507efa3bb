import Image from 'next/image';
import Link from 'next/link';
import type { Settlement } from '@/core/order/settlement';
import { storyOf, type StatementStory } from '@/core/order/statementStory';
import { counted } from '@/core/quantity/counted';
import { formatMoney } from '@/core/quantity/money';
import { formatWeight, sumWeights, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import { DESTINATIONS, DESTINATION_WORDS } from '@/core/species/types';
import { DestinationMark } from '../kit/DestinationMark';
import styles from './Box.module.css';

type Props = {
  token: string;
  settlement: Settlement;
  /** Addresses of photographs, by their ids. */
  photos: readonly (readonly [id: string, address: string])[];
};

/** A household's statement: how what hung became what is in its boxes, what was done otherwise, what it costs. */
export function BoxScreen({ token, settlement, photos }: Props) {
  const { name, about, shopName, unit, notes, bill, sign, keeps } = settlement;
  const story = storyOf(settlement);
  const photoOf = new Map(photos);
  return (
    <main className={styles.page}>
      <p className="quiet">
        <Link href={`/mine/${token}`}>{shopName}</Link>
      </p>
      <h1>
        Why {formatWeight(story.hot, 0)} became {formatWeight(story.boxes, 0)}
      </h1>
      <p>
        {name}: {about}. {story.sentence}
      </p>
      <Story story={story} unit={unit} />
      <Boxes settlement={settlement} />
      {notes.length > 0 && (
        <section>
          <h2>What we did otherwise</h2>
          {notes.map(({ cut, note, photoId }) => {
            const photo = photoId === undefined ? undefined : photoOf.get(photoId);
            return (
              <figure key={`${cut} ${note}`} className={styles.note}>
                <figcaption>
                  <b>{cut}</b>: {note}
                </figcaption>
                {photo && (
                  <Image src={photo} alt={`Photograph: ${cut}`} width={400} height={300} unoptimized />
                )}
              </figure>
            );
          })}
        </section>
      )}
      <section>
        <h2>What it costs</h2>
        <table className={styles.bill}>
          <tbody>
            {bill.lines.map(({ label, quantity, amount }) => (
              <tr key={`${label} ${quantity}`}>
                <td>
                  {label} <span className="quiet">{quantity}</span>
                </td>
                <td className="num">{formatMoney(amount, sign)}</td>
              </tr>
            ))}
            <tr data-whole>
              <td>to pay</td>
              <td className="num">{formatMoney(bill.due, sign)}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <section>
        <h2>How long it keeps</h2>
        <p>{keeps}</p>
        <p className="quiet">
          Keep the packs frozen and thaw them in the refrigerator. What is marked raw must be cooked. Follow
          the advice of your food authority.
        </p>
      </section>
      <p>
        <a href={`/api/mine/${token}/statement`}>All of it on paper (PDF)</a>
      </p>
    </main>
  );
}

/** The weight as it shrinks: each bar begins where the one before ended. */
function Story({ story: { hot, boxes, steps }, unit }: { story: StatementStory; unit: WeighingUnit }) {
  const wide = (weight: number) => `${(100 * Math.abs(weight)) / hot}%`;
  const show = (weight: Weight) => `${formatWeight(weight, 1)} ${unit}`;
  return (
    <ol className={styles.story}>
      <li data-whole>
        <span>What hung on our rail</span>
        <b>{show(hot)}</b>
        <i style={{ width: '100%' }} aria-hidden />
      </li>
      {steps.map(({ kind, words, why, weight, left }) => (
        <li key={kind}>
          <span>
            {words} <small>{why}</small>
          </span>
          <b>
            {weight < 0 ? '+' : '−'} {show(Math.abs(weight) as Weight)}
          </b>
          <i
            style={{ marginLeft: wide(Math.max(0, Math.min(left, left + weight))), width: wide(weight) }}
            aria-hidden
          />
        </li>
      ))}
      <li data-whole>
        <span>In your boxes</span>
        <b>{show(boxes)}</b>
        <i style={{ width: wide(boxes) }} aria-hidden />
      </li>
    </ol>
  );
}

function Boxes({ settlement: { packs, unit } }: { settlement: Settlement }) {
  return (
    <section>
      <h2>In your boxes</h2>
      <ul className={styles.boxes}>
        {DESTINATIONS.map((destination) => {
          const own = packs.filter((pack) => pack.destination === destination);
          if (own.length === 0) return null;
          return (
            <li key={destination}>
              <h3>
                <DestinationMark destination={destination} /> {DESTINATION_WORDS[destination]}{' '}
                <span className="quiet">
                  {formatWeight(sumWeights(own.map(({ net }) => net)), 1)} {unit}
                </span>
              </h3>
              {own.map(({ cut, packs: count, net, green }) => (
                <p key={cut}>
                  <span>
                    {cut}
                    {green !== null && (
                      <small className="quiet">
                        {' '}
                        from {formatWeight(green, 1)} {unit} fresh
                      </small>
                    )}
                  </span>
                  <span className="quiet">{counted(count, 'pack')}</span>
                  <b>{formatWeight(net, 1)}</b>
                </p>
              ))}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
