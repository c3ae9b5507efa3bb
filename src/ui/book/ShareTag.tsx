'use client';

import Link from 'next/link';
import { useEffect, useState } from 'react';
import { formatMoney, type Cents } from '@/core/quantity/money';
import { partName } from '@/core/order/naming';
import type { BookableSpecies, BookingView, FoundHousehold, LastTime } from '@/server/book';
import { act } from '../kit/act';
import { pctOf, type AnimalDraft, type ShareDraft } from './call';
import { PersonField } from './PersonField';
import { Typed } from './Typed';
import type { CallState } from './useCall';
import styles from './BookScreen.module.css';

type Props = {
  state: CallState;
  view: BookingView;
  animal: AnimalDraft;
  at: number;
  place: number;
  share: ShareDraft;
};

/** One part of the animal on its string: who has it, how to reach them, what was paid, how their sheet begins. */
export function ShareTag({ state, view, animal, at, place, share }: Props) {
  const [more, setMore] = useState(share.payer !== '' || share.contact !== '');
  const set = (change: Partial<ShareDraft>) => state.setShare(animal.key, place, change);
  const sold = animal.shares.slice(0, place).filter((each) => !each.unsold).length;
  const problem = (field: string) => state.problemOf(`documents.${at}.shares.${sold}.${field}`);
  const id = (name: string) => (at === 0 ? `shares_${place}_${name}` : `animal${at}_shares_${place}_${name}`);
  const title = partName({ part: share.part, sharePct: pctOf(share) || 100 });
  const decides = animal.shares.findIndex((each) => each.part === share.part) === place;
  const species = view.species.find((each) => each.id === animal.species)!;
  const mayRepeat = decides && share.known?.last?.species === species.name;
  const take = (found: FoundHousehold) =>
    set({
      known: found,
      name: found.name,
      phone: found.phone ?? '',
      sheet: found.last?.species === species.name && decides ? 'last' : share.sheet,
    });
  return (
    <div
      className={styles.tag}
      role="group"
      aria-label={title}
      data-unsold={share.unsold || undefined}
      onKeyDown={(event) => {
        if (event.altKey && event.code === 'KeyL' && mayRepeat) {
          event.preventDefault();
          set({ sheet: 'last' });
        }
      }}
    >
      <div className={styles.tagHead}>
        <b>{title}</b>
        {animal.division === 'percent' && !share.unsold && (
          <Typed
            label="%"
            value={share.sharePct}
            width="56px"
            inputMode="decimal"
            problem={problem('sharePct')}
            onChange={(sharePct) => set({ sharePct })}
          />
        )}
        <button type="button" className="link" onClick={() => set({ unsold: !share.unsold })}>
          {share.unsold ? 'sell it' : 'not sold yet'}
        </button>
      </div>
      {share.unsold ? (
        <p className="quiet">
          Stays {state.call.farm.name.trim() || 'the farm'}’s, with its part of the head charges, until
          somebody buys it.
        </p>
      ) : (
        <>
          <div className={styles.line}>
            <PersonField
              id={id('owner_name')}
              label="Household that eats it"
              value={share.name}
              problem={problem('owner.name')}
              width="170px"
              onChange={(name) =>
                set({ name, known: null, sheet: share.sheet === 'last' ? 'empty' : share.sheet })
              }
              onTake={take}
            />
            <Typed
              id={id('owner_phone')}
              label="Phone"
              value={share.phone}
              problem={problem('owner.phone')}
              width="100px"
              inputMode="tel"
              onChange={(phone) => set({ phone })}
            />
            <Typed
              id={id('deposit')}
              label="Deposit"
              value={share.deposit}
              problem={problem('deposit')}
              width="70px"
              inputMode="decimal"
              onChange={(deposit) => set({ deposit })}
            />
          </div>
          {more && (
            <div className={styles.line}>
              <Typed
                id={id('payer_name')}
                label="Who pays"
                value={share.payer}
                width="150px"
                placeholder="the same"
                onChange={(payer) => set({ payer })}
              />
              <Typed
                id={id('contact_name')}
                label="Whom to call"
                value={share.contact}
                width="150px"
                placeholder="the same"
                onChange={(contact) => set({ contact })}
              />
            </div>
          )}
          <div className={styles.sheetLine}>
            {decides ? (
              <>
                sheet:{' '}
                {(['empty', 'house', 'last', 'tried'] as const)
                  .filter((way) => way !== 'last' || mayRepeat)
                  .map((way) => (
                    <button
                      key={way}
                      type="button"
                      aria-pressed={share.sheet === way}
                      onClick={() => set({ sheet: way })}
                    >
                      {SHEET_WORDS[way]}
                    </button>
                  ))}
              </>
            ) : (
              <span className="quiet">
                by the sheet of {animal.shares.find((each) => each.part === share.part)!.name || 'the first'}
              </span>
            )}
            {!more && (
              <button type="button" onClick={() => setMore(true)}>
                another pays
              </button>
            )}
          </div>
          {share.known && (
            <Link className={styles.theirs} href={`/households/${share.known.id}`}>
              their orders
            </Link>
          )}
          {share.sheet === 'tried' && (
            <TriedBefore
              share={share}
              species={species}
              problem={problem('tried')}
              onCode={(code) => set({ code })}
            />
          )}
          {share.sheet === 'last' && share.known?.last && <SameAgain last={share.known.last} />}
        </>
      )}
    </div>
  );
}

const SHEET_WORDS = {
  house: 'the house’s',
  last: 'as last time',
  tried: 'one they tried',
  empty: 'none yet',
} as const;

/** What last time was, what it costs today, and what is no longer to be had. */
function SameAgain({ last }: { last: NonNullable<FoundHousehold['last']> }) {
  const [found, setFound] = useState<LastTime>();
  useEffect(() => {
    let stale = false;
    void act('lastTimeView', { shareId: last.shareId }).then(
      (answer) => !stale && answer.ok && setFound(answer.value),
    );
    return () => {
      stale = true;
    };
  }, [last.shareId]);
  const more = found ? found.today - found.then : 0;
  return (
    <p className={styles.again}>
      {last.words}
      {found && (
        <>
          {'; '}
          {more === 0
            ? 'the same money today'
            : `${formatMoney(Math.abs(more) as Cents, found.sign)} ${more > 0 ? 'more' : 'less'} at today’s prices`}
          {found.gone.length > 0 && (
            <span className="alarm">
              {' '}
              No longer offered, to be asked:{' '}
              {found.gone.map(({ title, was }) => `${title.toLowerCase()} (${was})`).join(', ')}.
            </span>
          )}
        </>
      )}
    </p>
  );
}

type TriedProps = {
  share: ShareDraft;
  species: BookableSpecies;
  problem: string;
  onCode: (code: string) => void;
};

/** The code of a sheet that they tried at home, and what is kept under it. */
function TriedBefore({ share: { code }, species, problem, onCode }: TriedProps) {
  const [found, setFound] = useState<{ code: string; words: string; wrong: string }>();
  const look = async () => {
    if (code.trim() === '') return;
    const answer = await act('triedSheetView', { code });
    if (!answer.ok) setFound({ code, words: '', wrong: answer.message });
    else {
      const fits = answer.value.species === species.id;
      setFound({
        code,
        words: answer.value.words,
        wrong: fits ? '' : `It is not of ${species.name.toLowerCase()}.`,
      });
    }
  };
  const known = found?.code === code ? found : undefined;
  return (
    <div className={styles.line}>
      <Typed
        label="The code they say"
        value={code}
        width="130px"
        placeholder="K7QM-4XTB"
        problem={known?.wrong || problem}
        onChange={onCode}
        onBlur={() => void look()}
      />
      {known?.words && <p className={styles.again}>{known.words}</p>}
    </div>
  );
}
