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
    // A radio button that was pressed keeps the focus and must not swallow the keys of the page.
    enableOnFormTags: key.inFields ? true : key.inText ? ['input', 'radio'] : ['radio'],
    ignoreEventWhen: (event) => isOfItsOwn(event, key) || going.isSecond(event),
  });
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
