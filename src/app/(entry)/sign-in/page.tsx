import { redirect } from 'next/navigation';
import { currentActor } from '@/app/door';
import { demoUsersShown } from '@/server/demo/shown';
import { SignInForm } from '@/ui/people/SignInForm';

export default async function SignInPage() {
  if (await currentActor()) redirect('/');
  return <SignInForm demoUsers={await demoUsersShown()} />;
}
