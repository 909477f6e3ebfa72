import { redirect } from 'react-router';
import { signOut } from '~/server/people/session';
import type { Route } from './+types/sign-out';

export const loader = () => redirect('/');

export async function action({ request }: Route.ActionArgs) {
  throw redirect('/sign-in', { headers: await signOut(request) });
}
