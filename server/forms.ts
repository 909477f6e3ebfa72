import { data } from 'react-router';

/** What was typed or chosen in a field; empty where it was not sent, or a file was. */
export function textIn(form: FormData, name: string): string {
  const value = form.get(name);
  return typeof value === 'string' ? value : '';
}

/** What every form of a thing that others may change too carries: the version it was opened on. */
export function versionIn(form: FormData): number | undefined {
  const text = form.get('version');
  return typeof text === 'string' && /^[1-9]\d{0,8}$/.test(text) ? Number(text) : undefined;
}

/** What is wrong with a form that carries no version. */
export const UNKNOWN_VERSION =
  'This page does not know what it was opened on. Load it again; nothing was changed.';

/** Does what the pressed button asks for, by its `intent`. Throws a 400 page for an intent that no button has. */
export function byIntent<A extends Record<string, () => unknown>>(
  form: FormData,
  actions: A,
): ReturnType<A[keyof A]> {
  const intent = form.get('intent');
  const name = typeof intent === 'string' ? intent : '';
  const action = Object.hasOwn(actions, name) ? actions[name] : undefined;
  if (!action)
    throw data(
      {
        title: 'This was not understood',
        text: 'Load the page again and press once more; nothing was changed.',
      },
      { status: 400 },
    );
  return action() as ReturnType<A[keyof A]>;
}
