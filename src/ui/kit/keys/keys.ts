/** Where a key holds: on every page, or where one thing is worked on. */
export type Scope =
  | 'anywhere'
  | 'today'
  | 'ticket'
  | 'sheet'
  | 'rail'
  | 'block'
  | 'wrap'
  | 'grind'
  | 'smoke'
  | 'week'
  | 'prices'
  | 'book'
  | 'calls'
  | 'yields'
  | 'wishes';

export type Key = {
  /** As `react-hotkeys-hook` reads it. */
  readonly keys: string;
  /** As it is printed on the keyboard. */
  readonly shown: string;
  readonly does: string;
  /** Holding it down does it again and again. */
  readonly repeats?: boolean;
  /** Named by the character it makes, wherever that is on a keyboard. */
  readonly byCharacter?: boolean;
  /** Holds in a field as well. */
  readonly inFields?: boolean;
  /** Holds in a line of text as well, which has no use for it; not in a number or a list. */
  readonly inText?: boolean;
  /** Is left to a button or a link that has the hand. */
  readonly notOnButtons?: boolean;
};

/** Every key of the app, once: what the hooks listen to and what `?` lists. */
export const KEYS = {
  anywhere: {
    find: {
      keys: 'mod+k',
      shown: 'Ctrl K',
      does: 'find an order, a person, a tag, a cut, a page, something to do',
      inFields: true,
    },
    findToo: { keys: '/', shown: '/', does: 'the same', byCharacter: true },
    goTo: { keys: '', shown: 'g, then a letter', does: 'go to a stage; the letters stand below' },
    ticket: { keys: '.', shown: '.', does: 'the ticket of the share in hand', byCharacter: true },
    help: { keys: '?', shown: '?', does: 'this list', byCharacter: true },
  },
  today: {
    next: { keys: 'down', shown: '↓', does: 'the next thing to do', repeats: true },
    before: { keys: 'up', shown: '↑', does: 'the one before', repeats: true },
    right: { keys: 'right', shown: '→', does: 'the next one due at the same time', repeats: true },
    left: { keys: 'left', shown: '←', does: 'the one before it', repeats: true },
    open: { keys: 'enter', shown: 'Enter', does: 'do it: opens its screen' },
    ticket: { keys: 'space', shown: 'Space', does: 'its ticket' },
    call: { keys: 'c', shown: 'C', does: 'call them: what to ask, and how it went' },
  },
  yields: {
    table: { keys: 't', shown: 'T', does: 'the figures behind the picture, or the picture' },
    print: { keys: 'p', shown: 'P', does: 'print it' },
    link: { keys: 'l', shown: 'L', does: 'copy the address: it is the choice' },
  },
  calls: {
    next: { keys: 'down', shown: '↓', does: 'the next to call', repeats: true },
    before: { keys: 'up', shown: '↑', does: 'the one before', repeats: true },
    nobody: { keys: 'n', shown: 'N, then Enter', does: 'nobody was there' },
    message: { keys: 'm', shown: 'M, then Enter', does: 'left a message' },
    spoken: { keys: 's', shown: 'S, then Enter', does: 'spoke with them' },
    open: { keys: 'enter', shown: 'Enter', does: 'their sheet', notOnButtons: true },
  },
  ticket: {
    correct: { keys: 'e', shown: 'E', does: 'correct what was booked, with a reason' },
    print: { keys: 'p', shown: 'P', does: 'print it' },
    act: { keys: 'enter', shown: 'Enter', does: 'what the stage needs next' },
    before: { keys: 'bracketleft', shown: '[', does: 'the share of the animal before' },
    after: { keys: 'bracketright', shown: ']', does: 'the next share of the animal' },
  },
  sheet: {
    next: { keys: 'down', shown: '↓', does: 'the row below', repeats: true, inText: true },
    before: { keys: 'up', shown: '↑', does: 'the row above', repeats: true, inText: true },
    right: { keys: 'right', shown: '→', does: 'the row on the other side of the animal' },
    left: { keys: 'left', shown: '←', does: 'the same, the other way' },
    option: { keys: '1,2,3,4,5,6,7,8,9,0', shown: '1 to 9, 0', does: 'choose that form for the open zone' },
    wayOut: { keys: 'a,b,c,d,e,f', shown: 'A to F', does: 'a way out of what is warned of in the open row' },
    question: { keys: 'n,enter', shown: 'Enter, N', does: 'the next open question', notOnButtons: true },
    paper: {
      keys: 'q',
      shown: 'Q',
      does: 'from paper: each digit answers a row and goes on in printed order',
    },
    paperBack: { keys: 'backspace', shown: 'Backspace', does: 'from paper: the row before' },
    house: { keys: 'h', shown: 'H', does: 'the house’s answer for this row' },
    wishes: { keys: 'w', shown: 'W', does: 'wishes: sheets for what they say' },
    houseAll: { keys: 'shift+h', shown: 'Shift H', does: 'the house standard for every row' },
    approve: { keys: 'mod+enter', shown: 'Ctrl Enter', does: 'read it back and approve it', inFields: true },
    undo: { keys: 'mod+z', shown: 'Ctrl Z', does: 'take the last change back' },
    redo: { keys: 'mod+shift+z,mod+y', shown: 'Ctrl Shift Z', does: 'make it again' },
  },
  wishes: {
    look: { keys: '1,2,3', shown: '1 to 3', does: 'look at a proposal' },
    take: { keys: 'enter', shown: 'Enter', does: 'take it; one step of undo', notOnButtons: true },
    close: { keys: 'escape', shown: 'Esc', does: 'stop searching; then back to the sheet' },
  },
  rail: {
    next: { keys: 'n', shown: 'N', does: 'the next due side', repeats: true },
    before: { keys: 'p', shown: 'P', does: 'the one before', repeats: true },
    weigh: { keys: 'w', shown: 'W', does: 'weigh it' },
    finding: { keys: 'f', shown: 'F', does: 'something was found on it' },
    move: { keys: 'm', shown: 'M', does: 'move it: then press the foot it hangs at' },
    deep: { keys: 't', shown: 'T', does: 'how warm it is inside, by the probe' },
    cover: { keys: 'c', shown: 'C', does: 'covered, or bare' },
    hold: { keys: 'h', shown: 'H', does: 'hold it with a reason, or let it go' },
  },
  block: {
    forward: {
      keys: 'space,enter,pagedown',
      shown: 'Space, pedal',
      does: 'done, the next step; with a piece on the scale: weigh it first',
      notOnButtons: true,
    },
    back: { keys: 'backspace,pageup', shown: 'Backspace', does: 'the step before is not done after all' },
    weigh: { keys: 'w', shown: 'W', does: 'take the weight of the piece in hand' },
    typed: { keys: 'y', shown: 'Y', does: 'type its weight, while the scale is away' },
    otherwise: { keys: 'd', shown: 'D', does: 'done otherwise than the sheet says, and why' },
    who: { keys: 'p', shown: 'P', does: 'who cut, boned and trimmed it' },
    whole: { keys: 'b', shown: 'B', does: 'the whole break at a glance' },
    notes: { keys: 't', shown: 'T', does: 'teaching notes on or off' },
    other: { keys: 'o', shown: 'O', does: 'the other side' },
  },
  wrap: {
    target: {
      keys: '1,2,3,4,5,6,7,8,9,0',
      shown: '1 to 0',
      does: 'choose the target; of more than ten by two digits',
    },
    right: { keys: 'right', shown: '→', does: 'the next target', repeats: true },
    left: { keys: 'left', shown: '←', does: 'the target before', repeats: true },
    down: { keys: 'down', shown: '↓', does: 'the target below', repeats: true },
    up: { keys: 'up', shown: '↑', does: 'the target above', repeats: true },
    sectionAfter: { keys: 'bracketright', shown: ']', does: 'block, grinder, smokehouse, barrels: the next' },
    sectionBefore: { keys: 'bracketleft', shown: '[', does: 'the one before' },
    take: { keys: 'enter', shown: 'Enter', does: 'take the steady weight and print' },
    back: { keys: 'backspace', shown: 'Backspace', does: 'take the last one back' },
    label: { keys: 'l', shown: 'L', does: 'the last label again' },
    tare: { keys: 'z', shown: 'Z', does: 'tare the scale' },
    more: { keys: 'equal,shift+equal,add', shown: '+', does: 'one piece more in this pack', repeats: true },
    less: { keys: 'minus,subtract', shown: '−', does: 'one piece less', repeats: true },
    nothingMore: { keys: 'n', shown: 'N', does: 'nothing more of this is to come, and why' },
    typed: { keys: 'y', shown: 'Y', does: 'type the weight, while the scale is away' },
    tray: { keys: 't', shown: 'T', does: 'a tray or a bag of the shop under it: the next, then none' },
    grade: { keys: 'k', shown: 'K', does: 'what lies in the tub: how lean, or what is never ground' },
    combine: { keys: 'c', shown: 'C', does: 'this cut lies on the last pack: both in one pack, one label' },
  },
  grind: {
    forward: {
      keys: 'space,enter,pagedown',
      shown: 'Space, pedal',
      does: 'what comes next: washed, weigh it, mixed, the head opened, close',
      notOnButtons: true,
    },
    ingredient: {
      keys: '1,2,3,4,5,6,7,8,9',
      shown: '1 to 9',
      does: 'choose an ingredient out of order, or the tub that meat comes out of',
    },
    again: { keys: 'backspace', shown: 'Backspace', does: 'out of the bowl: weigh it again' },
    meat: { keys: 't', shown: 'T', does: 'more meat from the tub, or all of it back' },
    typed: { keys: 'y', shown: 'Y', does: 'type the weight, while the scale is away' },
    otherwise: { keys: 'd', shown: 'D', does: 'weigh it otherwise than the recipe says, and why' },
    lot: { keys: 'l', shown: 'L', does: 'the lot that an ingredient is taken from' },
    together: { keys: 'p', shown: 'P', does: 'grind it together with another owner’s' },
    order: { keys: 'o', shown: 'O', does: 'the order of the day: another batch, and what it costs' },
    hold: { keys: 'h', shown: 'H', does: 'hold the batch with a reason, or release it' },
  },
  week: {
    next: { keys: 'n', shown: 'N', does: 'the next animal in hand', repeats: true },
    before: { keys: 'p', shown: 'P', does: 'the one before', repeats: true },
    later: { keys: 'right', shown: '→', does: 'the one in hand a day later', repeats: true },
    earlier: { keys: 'left', shown: '←', does: 'a day earlier', repeats: true },
    keep: { keys: 'enter', shown: 'Enter', does: 'the week as it stands is kept', notOnButtons: true },
    back: { keys: 'escape', shown: 'Esc', does: 'put it back; stop looking for a better week' },
    plan: { keys: 'a', shown: 'A', does: 'plan again' },
    give: { keys: '1,2,3', shown: '1 to 3', does: 'give what would help' },
    promise: { keys: 'r', shown: 'R', does: 'by when it was promised' },
    weekAfter: { keys: 'bracketright', shown: ']', does: 'a week on' },
    weekBefore: { keys: 'bracketleft', shown: '[', does: 'this week and the next' },
  },
  smoke: {
    next: { keys: 'right', shown: '→', does: 'the next piece', repeats: true },
    before: { keys: 'left', shown: '←', does: 'the one before', repeats: true },
    act: { keys: 'enter', shown: 'Enter', does: 'what comes next for it', notOnButtons: true },
    turned: { keys: 't', shown: 'T', does: 'it was turned' },
    move: { keys: 'v', shown: 'V', does: 'it lies at another place' },
    note: { keys: 'n', shown: 'N', does: 'a note on the piece' },
    hold: { keys: 'h', shown: 'H', does: 'hold the piece with a reason, or release it' },
    loadAfter: { keys: 'bracketright', shown: ']', does: 'the next load' },
    loadBefore: { keys: 'bracketleft', shown: '[', does: 'the load before' },
    load: { keys: 'l', shown: 'L', does: 'hang the piece in a load' },
    fire: { keys: 'f', shown: 'F', does: 'light the load, or end it when it is cold' },
    holdLoad: { keys: 'shift+h', shown: 'Shift H', does: 'hold the load with a reason, or release it' },
    brine: { keys: 'b', shown: 'B', does: 'make a brine' },
    ingredient: {
      keys: '1,2,3,4,5,6,7,8,9',
      shown: '1 to 9',
      does: 'an ingredient of the brine, out of order',
    },
    typed: { keys: 'y', shown: 'Y', does: 'type the weight of an ingredient, while the scale is away' },
    print: { keys: 'p', shown: 'P', does: 'print the load for the file' },
  },
  book: {
    book: { keys: 'mod+enter', shown: 'Ctrl Enter', does: 'book what is typed', inFields: true },
    animal: { keys: 'alt+a', shown: 'Alt A', does: 'another animal of the same farm', inFields: true },
    divide: { keys: '', shown: 'Alt V', does: 'in an animal: divided another way' },
    again: { keys: '', shown: 'Alt L', does: 'in a household: the sheet of last time' },
  },
  prices: {
    orderBefore: { keys: 'bracketleft', shown: '[', does: 'work the list on the order before' },
    orderAfter: { keys: 'bracketright', shown: ']', does: 'work the list on another order' },
    charge: { keys: 'equal,shift+equal,add', shown: '+', does: 'add a charge' },
    back: { keys: 'mod+z', shown: 'Ctrl Z', does: 'take the last change back' },
  },
} as const satisfies Readonly<Record<Scope, Readonly<Record<string, Key>>>>;

export type KeyName<S extends Scope> = keyof (typeof KEYS)[S] & string;

export const SCOPE_WORDS: Readonly<Record<Scope, string>> = {
  anywhere: 'Everywhere',
  today: 'Today',
  ticket: 'The ticket',
  sheet: 'The sheet',
  rail: 'The rails',
  block: 'The block',
  wrap: 'The wrap table',
  grind: 'The grind room',
  smoke: 'The smokehouse',
  week: 'The week',
  prices: 'The prices',
  book: 'Booking',
  calls: 'The call list',
  yields: 'Yields',
  wishes: 'Wishes',
};
