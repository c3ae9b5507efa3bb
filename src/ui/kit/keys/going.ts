/** Milliseconds in which a letter after `g` is meant to go somewhere, as the hook of such sequences takes it. */
const LONGEST_PAUSE = 1000;

type Pressed = Pick<KeyboardEvent, 'key' | 'timeStamp' | 'ctrlKey' | 'metaKey' | 'altKey'>;

/** Tells the second letter of `g, then a letter` from the same letter by itself: it goes somewhere and does nothing else. */
export class Going {
  private before: Pressed | undefined;
  private last: Pressed | undefined;

  press(event: Pressed): void {
    if (event === this.last) return;
    this.before = this.last;
    this.last = event;
  }

  /** @param event - the key that was pressed last */
  isSecond(event: Pressed): boolean {
    const { before } = this;
    if (!before || before.key !== 'g' || event.key.length !== 1) return false;
    return (
      !before.ctrlKey &&
      !before.metaKey &&
      !before.altKey &&
      event.timeStamp - before.timeStamp <= LONGEST_PAUSE
    );
  }
}

export const going = new Going();

if (typeof window !== 'undefined') {
  window.addEventListener('keydown', (event) => going.press(event), { capture: true });
}
