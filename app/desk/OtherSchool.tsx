import { useLayoutEffect, useSyncExternalStore } from 'react';
import { Form } from '~/app/ui/sending';
import { Button } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Row, Wide } from '~/app/ui/Page';
import { nameOfDraft } from '~/app/ui/remember';

/**
 * Whether another school was opened in another tab of this browser since this page came: what is pressed here would
 * be done there.
 */
export function useOpenElsewhere(personId: string, schoolId: string): boolean {
  const name = nameOfDraft(personId, 'open school');
  // The page that came last says which school is open; the others of this browser hear of it.
  useLayoutEffect(() => {
    localStorage.setItem(name, schoolId);
    window.dispatchEvent(new Event('storage'));
  }, [name, schoolId]);
  return useSyncExternalStore(
    heard,
    () => (localStorage.getItem(name) ?? schoolId) !== schoolId,
    () => false,
  );
}

function heard(look: () => void): () => void {
  for (const event of ['storage', 'focus']) window.addEventListener(event, look);
  return () => {
    for (const event of ['storage', 'focus']) window.removeEventListener(event, look);
  };
}

/** Says that this page is of a school that is not the open one any more. */
export const OtherSchool = ({ here }: { here: { id: string; name: string } }) => (
  <Wide as="div" style={{ paddingBottom: 0 }}>
    <Said
      kind="stop"
      word={`This page is of ${here.name}`}
      live
      action={
        <Row>
          <Form method="post" action="/schools">
            <input type="hidden" name="school" value={here.id} />
            <Button type="submit">Open {here.name} again</Button>
          </Form>
          <Button quiet onPress={() => window.location.assign('/')}>
            Go on in the other school
          </Button>
        </Row>
      }
    >
      Another school was opened in another tab, and this browser works for one school at a time. What you
      typed here is kept; nothing was done.
    </Said>
  </Wide>
);
