import type { Stage } from '@/core/order/stage';
import type { Found, Ticket } from '@/server/rail';
import { hooksFor, isFloorRole, pageOf, STAGE_WORDS } from './stages';

/** One line of the palette: what it is, and the page it leads to. */
export type Entry = {
  readonly key: string;
  readonly label: string;
  readonly detail: string;
  readonly page: string;
};

/** What can be done from anywhere, and what with the share in hand; found by any of its words. */
type Action = { readonly label: string; readonly also: string; readonly page: string };

const FOR_THE_OFFICE: readonly Action[] = [
  { label: 'Book an animal in', also: 'new order take in', page: '/book' },
  { label: 'Read an order file', also: 'import json csv table many bookings', page: '/book#order-file' },
  { label: 'Households and farms', also: 'customers people history notes merge double', page: '/households' },
  { label: 'Call list', also: 'telephone ring questions', page: '/calls' },
  { label: 'Yields of the shop', also: 'rates percent cutout statistics year', page: '/yields' },
  { label: 'Trace a pack, an animal or a lot', also: 'recall where from back forward drill', page: '/trace' },
  {
    label: 'The book of the day',
    also: 'inspector haccp temperatures cleaning holds signed',
    page: '/book-of-day',
  },
  {
    label: 'Ingredients that came in',
    also: 'receive lots spices curing salt supplier',
    page: '/ingredients',
  },
  { label: 'Messages that went out', also: 'text mail confirmation outbox', page: '/messages' },
];

const FOR_THE_OWNER: readonly Action[] = [
  { label: 'Prices of the shop', also: 'rates charges list tax minimum set up', page: '/shop/prices' },
  { label: 'House rules', also: 'hang days storage batch hours set up tolerance', page: '/shop/rules' },
  { label: 'Catalogue of cuts', also: 'own cut words names hide offer set up', page: '/shop/catalogue' },
  { label: 'Made things', also: 'recipes sausage flavours ingredients allergens', page: '/shop/made' },
  {
    label: 'Cures and smoke',
    also: 'nitrite limits brine rub plans smokehouse cooling',
    page: '/shop/curing',
  },
  { label: 'Places of the shop', also: 'rails freezers scales establishment prefix', page: '/shop/places' },
  { label: 'People of the shop', also: 'staff roles secrets password take on leave', page: '/shop/people' },
];

function withShare(shareId: string, role: string): readonly Action[] {
  const floor = [
    { label: 'Its ticket', also: 'order everything history packs', page: `/ticket/${shareId}` },
    { label: 'Its wrap table', also: 'weigh packs block', page: `/wrap/${shareId}` },
  ];
  if (isFloorRole(role)) return floor;
  return [
    ...floor,
    { label: 'Its sheet', also: 'cuts questions approve', page: `/sheet/${shareId}` },
    { label: 'Its balance', also: 'reconcile unaccounted close', page: `/reconcile/${shareId}` },
    { label: 'Its bill', also: 'money paid settle picked up', page: `/settle/${shareId}` },
    {
      label: 'Correct a fact',
      also: 'name phone telephone tag day mistake',
      page: `/ticket/${shareId}?do=correct`,
    },
    { label: 'Cancel this order', also: 'call off', page: `/ticket/${shareId}?do=cancel` },
  ];
}

const plain = (words: string) =>
  words
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);

/** Whether every word that was said begins one of the words. */
function fits(said: string, words: string): boolean {
  const known = plain(words);
  return plain(said).every((word) => known.some((each) => each.startsWith(word)));
}

export function entryOfTicket(ticket: Ticket, role: string): Entry {
  const where = ticket.stage ? STAGE_WORDS[ticket.stage satisfies Stage].word : 'picked up';
  return {
    key: ticket.shareId,
    label: ticket.name,
    detail: `${ticket.tag} from ${ticket.farm}, order ${ticket.number}, ${where}`,
    page: pageOf(ticket.stage, ticket.shareId, role),
  };
}

type Asked = { readonly said: string; readonly role: string; readonly shareId: string | undefined };

/** Pages of the role, and what can be done, that the words fit; they need no house. */
export function placesFor({ said, role, shareId }: Asked): Entry[] {
  if (said.trim() === '') return [];
  const pages = hooksFor(role)
    .filter(({ word }) => fits(said, word))
    .map(({ word, path }) => ({ key: path, label: word, detail: 'page', page: path }));
  const actions = [
    ...(shareId ? withShare(shareId, role) : []),
    ...(isFloorRole(role) ? [] : FOR_THE_OFFICE),
    ...(role === 'owner' ? FOR_THE_OWNER : []),
  ]
    .filter(({ label, also }) => fits(said, `${label} ${also}`))
    .map(({ label, page }) => ({ key: label, label, detail: 'to do', page }));
  return [...pages, ...actions];
}

/** Everything that answers the words: shares first, then places, then cuts of the sheet in hand. */
export function entriesFor(asked: Asked, found: Found | undefined): Entry[] {
  const { role, shareId } = asked;
  const cuts = (found?.cuts.hits ?? []).map((hit) => ({
    key: `${hit.decision} ${hit.option} ${hit.cut}`,
    label: hit.cut,
    detail:
      hit.said === hit.cut
        ? 'on this sheet'
        : `${hit.said}${hit.where ? `, ${hit.where}` : ''}; on this sheet`,
    page: `/sheet/${shareId}?row=${hit.decision}`,
  }));
  return [
    ...(found?.tickets ?? []).map((ticket) => entryOfTicket(ticket, role)),
    ...placesFor(asked),
    ...cuts,
  ];
}
