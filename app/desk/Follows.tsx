import { Form } from '~/app/ui/sending';
import { Button } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';

/** That a thing is changed by the school it comes from, and how to make it one's own. */
export const Follows = ({ school, what }: { school: string; what: string }) => (
  <Said
    kind="know"
    word={`Follows ${school}`}
    action={
      <Form method="post">
        <input type="hidden" name="intent" value="stopFollowing" />
        <Button type="submit" quiet>
          Stop following
        </Button>
      </Form>
    }
  >
    {what} is changed there, and changes here at the same moment. To change it here, make it your own first.
  </Said>
);
