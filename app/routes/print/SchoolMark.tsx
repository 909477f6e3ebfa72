import { Form } from '~/app/ui/sending';
import { Button, useSending } from '~/app/ui/Button';
import { FileBox } from '~/app/ui/fields/FileBox';
import { Faint, Row, Stack } from '~/app/ui/Page';

/** The school's own picture on its bag labels: chosen, changed or taken away. */
export function SchoolMark({ there, version }: { there: boolean; version: number }) {
  const busy = useSending();
  return (
    <details>
      <summary>The school’s picture on bag labels</summary>
      <Form method="post" encType="multipart/form-data">
        <input type="hidden" name="version" value={version} />
        <Stack $gap="0.6rem">
          <label>
            <strong>{there ? 'Another picture' : 'A picture'}</strong>
            <br />
            <FileBox type="file" name="picture" accept="image/png,image/jpeg" />
          </label>
          <Faint>PNG or JPEG, at most 200 kB. It stands at the left of the kit’s name.</Faint>
          <Row>
            <Button type="submit" quiet name="intent" value="mark" isPending={busy}>
              Put it on the labels
            </Button>
            {there && (
              <Button type="submit" quiet name="intent" value="noMark" isPending={busy}>
                Take it off the labels
              </Button>
            )}
          </Row>
        </Stack>
      </Form>
    </details>
  );
}
