'use client';

import { Button, Form, Input, Select } from 'antd';
import { useState } from 'react';
import { PLACE_KINDS, roomOf, type Place, type PlaceKind } from '@/core/setUp/places';
import type { SetUpView } from '@/server/shop';
import { AskDialog } from '../kit/AskDialog';
import type { FieldProblem } from '../kit/asking';
import { Nothing } from '../kit/States';
import type { Question } from '../kit/useAsk';
import { idOf } from './idOf';
import { SetUpHistory } from './SetUpHistory';
import { ShopHeading } from './ShopHeading';
import { useSetUp } from './useSetUp';
import { numberOf, numberProblem, ValueField } from './ValueField';
import styles from './SetUp.module.css';

const KINDS = Object.entries(PLACE_KINDS) as [PlaceKind, (typeof PLACE_KINDS)[PlaceKind]][];

/** Where the shop hangs, keeps, smokes and weighs, and what it is called on labels. */
export function PlacesScreen({ view: first }: { view: SetUpView }) {
  const state = useSetUp(first);
  const { shop, places } = state.view;
  const [adding, setAdding] = useState(false);
  return (
    <div>
      <ShopHeading>
        <Button
          href="/api/book"
          download
          title="Everything that was ever written down, as open files in a zip"
        >
          The whole book
        </Button>
        <Button type="primary" onClick={() => setAdding(true)}>
          Another place
        </Button>
      </ShopHeading>
      <div className={styles.columns}>
        <div className={styles.two}>
          <table className={styles.rules}>
            <thead>
              <tr>
                <th>the shop itself</th>
                <th />
              </tr>
            </thead>
            <tbody>
              <tr>
                <td>Its name on labels and papers</td>
                <td>
                  <ValueField
                    label="Name of the shop"
                    kept={shop.name}
                    width="words"
                    own
                    problem={(text) => (text === '' ? 'a name' : '')}
                    keep={(name) => state.change({ kind: 'shop', shop: { name } })}
                  />
                </td>
              </tr>
              <tr>
                <td>Telephone, on every household’s page</td>
                <td>
                  <ValueField
                    label="Telephone of the shop"
                    kept={shop.phone ?? ''}
                    width="words"
                    own
                    problem={(text) => (text.length <= 30 ? '' : '30 signs at most')}
                    keep={(text) =>
                      state.change({ kind: 'shop', shop: { phone: text === '' ? null : text } })
                    }
                  />
                </td>
              </tr>
              <tr>
                <td className={styles.named}>Number of the inspected establishment</td>
                <td>
                  <ValueField
                    label="Establishment number"
                    kept={shop.establishment ?? ''}
                    width="words"
                    own
                    problem={(text) => (text.length <= 20 ? '' : '20 signs at most')}
                    keep={(text) =>
                      state.change({ kind: 'shop', shop: { establishment: text === '' ? null : text } })
                    }
                  />{' '}
                  <span className="quiet">without one only custom animals can be booked</span>
                </td>
              </tr>
              <tr>
                <td>Company prefix in the bars</td>
                <td>
                  <ValueField
                    label="Company prefix"
                    kept={shop.codePrefix}
                    own
                    problem={(text) => (/^\d{3,7}$/.test(text) ? '' : '3 to 7 digits')}
                    keep={(codePrefix) => state.change({ kind: 'shop', shop: { codePrefix } })}
                  />
                </td>
              </tr>
              <tr>
                <td>Weighs in, keeps the time of</td>
                <td>
                  {shop.unit}, {shop.zone} <span className="quiet">for ever: every weight stands in it</span>
                </td>
              </tr>
            </tbody>
          </table>
          <div>
            {places.length === 0 ? (
              <Nothing>
                No place is named yet. Add the rails with their feet first: booking shows what is free on
                them.
              </Nothing>
            ) : (
              <table className={styles.rules}>
                <thead>
                  <tr>
                    <th>places and things</th>
                    <th className="num">size</th>
                    <th />
                    <th />
                  </tr>
                </thead>
                {KINDS.filter(([kind]) => places.some((place) => place.kind === kind)).map(
                  ([kind, { word, size }]) => (
                    <tbody key={kind}>
                      <tr className={styles.part}>
                        <th>{word}</th>
                        <th colSpan={3}>
                          {kind === 'rail' || kind === 'freezer'
                            ? `${roomOf(places, kind)} ${size} in all`
                            : ''}
                        </th>
                      </tr>
                      {places
                        .filter((place) => place.kind === kind)
                        .map((place) => (
                          <PlaceRow key={place.id} place={place} state={state} />
                        ))}
                    </tbody>
                  ),
                )}
              </table>
            )}
          </div>
        </div>
        <SetUpHistory view={state.view} />
      </div>
      {adding && <AddPlace places={places} onClose={() => setAdding(false)} />}
    </div>
  );
}

function PlaceRow({ place, state }: { place: Place; state: ReturnType<typeof useSetUp> }) {
  const keep = (change: Partial<Place>) => state.change({ kind: 'place', place: { ...place, ...change } });
  return (
    <tr>
      <td>
        <ValueField
          label={`Name of ${place.name}`}
          kept={place.name}
          width="words"
          own
          problem={(text) => (text === '' ? 'a name' : '')}
          keep={(name) => keep({ name })}
        />
      </td>
      <td className="num">
        <ValueField
          label={`Size of ${place.name}`}
          kept={String(place.size)}
          own
          problem={(text) => numberProblem(text, 0.01, 10_000, false)}
          keep={(text) => keep({ size: numberOf(text) })}
        />
      </td>
      <td className="quiet">{PLACE_KINDS[place.kind].size}</td>
      <td className="num">
        <button
          type="button"
          className="link"
          onClick={() => void state.change({ kind: 'without-place', id: place.id })}
        >
          take it away
        </button>
      </td>
    </tr>
  );
}

function AddPlace({ places, onClose }: { places: readonly Place[]; onClose: () => void }) {
  return (
    <AskDialog
      title="Another place"
      asks="changeSetUp"
      initial={{ kind: 'rail' as PlaceKind, name: '', size: '' }}
      question={({ kind, name, size }): Question<'changeSetUp'> | FieldProblem => {
        if (name.trim() === '') return { field: 'name', message: 'How is it called in the shop?' };
        const value = numberOf(size);
        if (!(value > 0)) return { field: 'size', message: `“${size}” is no size. Write a number.` };
        return {
          change: {
            kind: 'place',
            place: { id: freeId(name, places), kind, name: name.trim(), size: value },
          },
        };
      }}
      does="Add it"
      onDone={onClose}
      onClose={onClose}
    >
      {({ kind }) => (
        <>
          <Form.Item name="kind" label="What it is">
            <Select options={KINDS.map(([value, { word }]) => ({ value, label: word }))} />
          </Form.Item>
          <Form.Item name="name" label="What the shop calls it">
            <Input maxLength={60} />
          </Form.Item>
          <Form.Item name="size" label={`Its size: ${PLACE_KINDS[kind].size}`}>
            <Input inputMode="decimal" />
          </Form.Item>
        </>
      )}
    </AskDialog>
  );
}

function freeId(name: string, places: readonly Place[]): string {
  const plain = idOf(name).slice(0, 36);
  let id = plain;
  for (let more = 2; places.some((place) => place.id === id); more += 1) id = `${plain}-${more}`;
  return id;
}
