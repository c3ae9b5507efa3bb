import type { Role } from '@/data/people';

export type DemoUser = {
  readonly name: string;
  readonly role: Role;
  readonly secret: string;
  readonly does: string;
};

/** The five people of the demo shop. Their secrets are no secret: the demo's sign-in page shows them. */
export const DEMO_USERS: readonly DemoUser[] = [
  { name: 'Maren', role: 'owner', secret: 'kelp-and-tide', does: 'runs the shop' },
  { name: 'Tove', role: 'counter', secret: 'ferry-on-time', does: 'books, takes sheets, bills' },
  { name: 'Iver', role: 'cutter', secret: 'steel-and-stone', does: 'breaks on the block' },
  { name: 'Sunna', role: 'wrapper', secret: 'paper-and-twine', does: 'weighs and wraps' },
  { name: 'Aslak', role: 'smoker', secret: 'alder-and-salt', does: 'grinds, cures, smokes' },
];
