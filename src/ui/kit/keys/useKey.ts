'use client';

import { useEffect } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useSignal } from '../useSignal';
import { going } from './going';
import { KEYS, type Key, type KeyName, type Scope } from './keys';
import { enterScope, openDialogs } from './scopes';

/** Does something at a key of the table. Keys rest under dialogs, in fields, and while they are held down. */
export function useKey<S extends Scope>(
  scope: S,
  name: KeyName<S>,
  does: (event: KeyboardEvent) => void,
  enabled = true,
): void {
  const key = (KEYS[scope] as Readonly<Record<string, Key>>)[name]!;
  const resting = useSignal(openDialogs) > 0;
  useHotkeys(key.keys, (event) => (key.repeats || !event.repeat ? does(event) : undefined), {
    enabled: enabled && !resting,
    preventDefault: true,
    useKey: key.byCharacter ?? false,
    ignoreModifiers: key.byCharacter ?? false,
    // Which fields a key rests in is said below, not by their tags: a switch that was pressed keeps the hand.
    enableOnFormTags: true,
    ignoreEventWhen: (event) => restsIn(event, key) || isOfItsOwn(event, key) || going.isSecond(event),
  });
}

/** Inputs that take a press and no letters. */
const PRESSED = ['radio', 'checkbox', 'button', 'submit'];
/** What moves the choice of a switch that has the hand. */
const MOVES_A_SWITCH = ['ArrowLeft', 'ArrowRight', ' '];

/** Whether somebody types where the hand is, and the key is theirs. */
function restsIn({ key: pressed, target }: KeyboardEvent, { inFields, inText }: Key): boolean {
  if (inFields === true) return false;
  if (target instanceof HTMLInputElement) {
    if (PRESSED.includes(target.type)) return MOVES_A_SWITCH.includes(pressed);
    return inText !== true;
  }
  return target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement;
}

/** Whether what has the hand does something of its own at this key. */
function isOfItsOwn({ key: pressed, target }: KeyboardEvent, { inText, notOnButtons }: Key): boolean {
  if (!(target instanceof HTMLElement)) return false;
  const role = target.getAttribute('role');
  if (inText && (role === 'combobox' || role === 'spinbutton')) return true;
  const isButton = target instanceof HTMLButtonElement || target instanceof HTMLAnchorElement;
  // The way that was chosen keeps the hand, and pressing it again would do nothing.
  return notOnButtons === true && pressed === 'Enter' && isButton && role !== 'radio';
}

/** Says that the keys of a scope hold here, for as long as this stands on the page. */
export function useScope(scope: Scope): void {
  useEffect(() => enterScope(scope), [scope]);
}
