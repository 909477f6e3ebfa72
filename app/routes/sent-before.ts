import { redirect } from 'react-router';
import type { Route } from './+types/sent-before';

/** A page of ours, and nothing else. */
const PAGE = /^\/(?![/\\])[^\s\\]{0,2000}$/;

export const loader = () => redirect('/');

/** What was sent had been done before: its page is shown, as it is now. */
export async function action({ request }: Route.ActionArgs) {
  const page = (await request.formData()).get('page');
  return redirect(typeof page === 'string' && PAGE.test(page) ? page : '/');
}
