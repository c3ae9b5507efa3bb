import type { PersonId, ShareId } from '@/core/order/animal';
import type { Role } from '@/data/people';

export type Staff = {
  readonly kind: 'staff';
  readonly id: string;
  readonly name: string;
  readonly role: Role;
};

/**
 * Who is at the door. Staff sign in; a household and a farmer come by a link that names their share or their farm; a
 * device signs what it says; the system works on its own.
 */
export type Actor =
  | Staff
  | { readonly kind: 'household'; readonly id: string; readonly name: string; readonly shareId: ShareId }
  | { readonly kind: 'farmer'; readonly id: string; readonly name: string; readonly farmId: PersonId }
  | { readonly kind: 'device'; readonly id: string; readonly name: string }
  | { readonly kind: 'public'; readonly id: 'public'; readonly name: string }
  | { readonly kind: 'system'; readonly id: 'system'; readonly name: string };

/** Anybody at all, for the few things that everybody may see. */
export const ANYBODY: Actor = { kind: 'public', id: 'public', name: 'anybody' };

export const SYSTEM: Actor = { kind: 'system', id: 'system', name: 'Fractum' };

/** The word that stands for an actor's kind of right: a role, or what it is. */
export function roleOf(actor: Actor): Role | Exclude<Actor['kind'], 'staff'> {
  return actor.kind === 'staff' ? actor.role : actor.kind;
}

export function isOwner(actor: Actor): boolean {
  return actor.kind === 'staff' && actor.role === 'owner';
}
