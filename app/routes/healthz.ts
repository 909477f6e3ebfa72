import { findSchool } from '~/data/queries/people';

/** Answers 200 once the server and its database work. Says nothing else. */
export async function loader() {
  await findSchool();
  return new Response('ok', { headers: { 'Content-Type': 'text/plain' } });
}
