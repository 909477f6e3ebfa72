/**
 * Forms whose content is done once, however often it is sent: each carries a key (`server/web/sent.ts` keeps to it). The
 * key is renewed when what was sent is answered, when the page is answered anew, and when something else is sent before
 * that.
 */
import { useId, useRef, useState, type ComponentProps, type FormEvent } from 'react';
import {
  Form as PlainForm,
  useActionData,
  useFetcher as usePlainFetcher,
  useRouteLoaderData,
  useSubmit as usePlainSubmit,
  type FetcherWithComponents,
  type SubmitFunction,
  type SubmitTarget,
} from 'react-router';
import { FORM_KEY } from '~/core/check/form-key';
import type { loader } from '../root';

/**
 * A key for what is sent next: the same one for the same content, as long as it was not answered. The answer comes before
 * the page is read again, and that reading is given up when something else is pressed meanwhile: so it counts by itself.
 */
function useKeys(answer: unknown): { key: string | undefined; keyFor: (content: FormData) => string } {
  const page = useRouteLoaderData<typeof loader>('root')?.formKey;
  const id = useId();
  const [others, setOthers] = useState(0);
  const last = useRef<{ page: string | undefined; answer: unknown; content: string; others: number }>(
    undefined,
  );
  const named = (count: number): string => `${page}${id}${count}`;
  const keyFor = (form: FormData): string => {
    const content = JSON.stringify(
      [...form].map(([name, value]) => [
        name,
        typeof value === 'string' ? value : [value.name, value.size, value.lastModified],
      ]),
    );
    const before = last.current;
    const again =
      before !== undefined && before.page === page && before.answer === answer && before.content === content;
    const count = before ? before.others + (again ? 0 : 1) : others;
    last.current = { page, answer, content, others: count };
    setOthers(count);
    return named(count);
  };
  return { key: page && named(others), keyFor };
}

/** The key of a form that is sent without a script. */
export function FormKey() {
  const { key } = useKeys(undefined);
  return key === undefined ? null : <input type="hidden" name={FORM_KEY} value={key} />;
}

/** What a form would send, pressed by this button. */
function contentOf(form: HTMLFormElement, by: HTMLElement | null): FormData {
  const content = new FormData(form);
  content.delete(FORM_KEY);
  if (by instanceof HTMLButtonElement && by.name) content.append(by.name, by.value);
  return content;
}

/** A form; one that changes something carries its key. With `by` it is sent by that fetcher, and the page stays. */
export function Form({
  by,
  children,
  onSubmit,
  ...props
}: ComponentProps<typeof PlainForm> & { by?: FetcherWithComponents<unknown> }) {
  const ofPage = useActionData<unknown>();
  const { key, keyFor } = useKeys(by ? by.data : ofPage);
  const field = useRef<HTMLInputElement>(null);
  const keyed = props.method?.toLowerCase() === 'post' && key !== undefined;
  const send = (event: FormEvent<HTMLFormElement>): void => {
    onSubmit?.(event);
    if (event.defaultPrevented || !field.current) return;
    const { submitter } = event.nativeEvent as SubmitEvent;
    field.current.value = keyFor(contentOf(event.currentTarget, submitter));
  };
  const Sent = by?.Form ?? PlainForm;
  return (
    <Sent {...props} onSubmit={send}>
      {keyed && <input ref={field} type="hidden" name={FORM_KEY} defaultValue={key} />}
      {children}
    </Sent>
  );
}

/** What is sent without a form, with the key of its content. */
function useKeyed(answer: unknown): (target: SubmitTarget, method: string | undefined) => SubmitTarget {
  const { key, keyFor } = useKeys(answer);
  return (target, method) => {
    if (method?.toLowerCase() !== 'post' || key === undefined) return target;
    // A form that is there has its own.
    if (target instanceof HTMLElement) return target;
    const form = new FormData();
    const entries =
      target instanceof FormData || target instanceof URLSearchParams ? target : Object.entries(target ?? {});
    for (const [name, value] of entries as Iterable<[string, string | File]>) form.append(name, value);
    form.append(FORM_KEY, keyFor(form));
    return form;
  };
}

export function useSubmit(): SubmitFunction {
  const submit = usePlainSubmit();
  const keyed = useKeyed(useActionData<unknown>());
  return (target, options) => submit(keyed(target, options?.method), options);
}

// What it answers with is worked out by the router, from the type of an action.
export function useFetcher<T>(options?: { key?: string }) {
  const fetcher = usePlainFetcher<T>(options);
  const keyed = useKeyed(fetcher.data);
  const submit: typeof fetcher.submit = (target, options) =>
    fetcher.submit(keyed(target, options?.method), options);
  return { ...fetcher, submit };
}
