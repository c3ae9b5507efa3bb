'use client';

import { Button } from 'antd';
import { gramsShown, ONE_POUR, type DueIngredient } from '@/core/curing/ingredients';
import type { MixAtSmoke, SmokeView } from '@/server/smoke';
import { Note } from '../kit/Note';
import type { AtMix } from './useMix';
import { PpmBar } from './PpmBar';
import styles from './SmokeScreen.module.css';
import { weightWords } from './words';

type Props = { mix: MixAtSmoke; view: SmokeView; atMix: AtMix; mayDo: boolean; onLook: () => void };

/** A brine or a rub on the scale: each ingredient to the gram, curing salt seen by two, and what it would bring into the meat. */
export function MixPanel({ mix, view, atMix, mayDo, onLook }: Props) {
  const { standing } = mix;
  const { due, net, why, lot } = atMix;
  return (
    <section className={styles.mix} aria-label={`Lot ${mix.lot}`}>
      <div>
        <h2>
          {mix.recipe}{' '}
          <span className="quiet">
            lot {mix.lot}, {mix.isBrine ? 'brine' : 'for'} {weightWords(mix.makes, view.unit)}
          </span>
        </h2>
        <table>
          <tbody>
            {standing.ingredients.map((each, at) => (
              <tr key={each.name} data-at={each.name === due?.name || undefined}>
                <td>
                  <button type="button" className={styles.asLink} onClick={() => atMix.choose(each.name)}>
                    <kbd>{at + 1}</kbd> {each.name}
                  </button>
                </td>
                <td className="num">{gramsShown(each.due)} g</td>
                <td className="num">
                  <b>
                    {each.weighed === null
                      ? each.poured > 0
                        ? `${gramsShown(each.poured)} …`
                        : ''
                      : gramsShown(each.weighed)}
                  </b>
                </td>
                <td className="quiet">
                  {each.weighed !== null && each.lot !== '' && `lot ${each.lot}`}
                  {each.second !== '' &&
                    `, ${view.people[each.by] ?? ''} and ${view.people[each.second] ?? ''}`}
                  {each.weighed !== null && mayDo && !standing.isMixed && (
                    <Button size="small" type="text" onClick={() => atMix.again(each.name)}>
                      again
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <PpmBar
          ppm={standing.ppm}
          limit={standing.ppmLimit}
          isBegun={standing.ingredients.some(({ cures }) => cures)}
        />
      </div>
      <div className={styles.scale}>
        {due && (
          <>
            <h2>{due.name}</h2>
            <p className={styles.figure}>
              {(net / 1000).toFixed(1)} <small>g</small>
            </p>
            <p role="status" className={atMix.isOver ? 'alarm' : undefined}>
              {why ?? toldOf(due, net)}
            </p>
            <p className="quiet">{bandWords(due)}</p>
            <label className={styles.lot}>
              lot{' '}
              <input
                value={lot}
                maxLength={40}
                autoComplete="off"
                aria-label={`Lot of the ${due.name}`}
                onChange={({ target }) => atMix.sayLot(due.name, target.value)}
              />
            </label>
            {due.cures && (
              <p className="alarm">
                From the locked tin, to the gram; a second person looks. Follow your plan and local code.
              </p>
            )}
          </>
        )}
        {!due && !standing.isMixed && <p>Everything is weighed.</p>}
        <Note failure={atMix.refusal} />
        {mayDo && !standing.isMixed && (
          <div className={styles.acts}>
            {atMix.toLook ? (
              <Button type="primary" onClick={onLook} data-main>
                Second person <kbd>Enter</kbd>
              </Button>
            ) : (
              <Button type="primary" loading={atMix.busy} onClick={() => void atMix.forward()} data-main>
                {due ? `Weigh ${due.name}` : 'Mixed'} <kbd>Enter</kbd>
              </Button>
            )}
            {due && !due.cures && (
              <Button onClick={atMix.type}>
                Type it <kbd>Y</kbd>
              </Button>
            )}
            <Button onClick={atMix.leave}>Leave it for later</Button>
          </div>
        )}
      </div>
    </section>
  );
}

function bandWords({ low, high, due, poured }: DueIngredient): string {
  const band = `${gramsShown(low)} to ${gramsShown(high)} g are due`;
  if (due <= ONE_POUR) return band;
  return `${band}, in several pours${poured > 0 ? `; ${gramsShown(poured)} g are in` : ''}`;
}

function toldOf({ low, high, most, poured }: DueIngredient, net: number): string {
  const inBowl = poured + net / 100;
  if (net <= 0) return 'Put the bowl on, tare it, pour.';
  if (most !== null && inBowl > most) return `Over the limit. Take out ${gramsShown(inBowl - high)} g.`;
  if (inBowl > high) return `Take out ${gramsShown(inBowl - high)} g.`;
  return inBowl < low ? `${gramsShown(low - inBowl)} g more.` : 'It is right.';
}
