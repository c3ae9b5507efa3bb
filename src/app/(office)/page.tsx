import { redirect } from 'next/navigation';
import { currentActor } from '@/app/door';

const FIRST_PAGE = {
  owner: '/book',
  counter: '/book',
  cutter: '/wrap',
  wrapper: '/wrap',
  smoker: '/wrap',
} as const;

/** Everybody starts where their work is. */
export default async function Home() {
  const actor = await currentActor();
  redirect(actor ? FIRST_PAGE[actor.role] : '/sign-in');
}
