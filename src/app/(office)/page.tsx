import { redirect } from 'next/navigation';
import { currentActor } from '@/app/door';

/** Everybody starts with the day. */
export default async function Home() {
  redirect((await currentActor()) ? '/today' : '/sign-in');
}
