import { useActionData, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import type { AgeBand, Params } from '~/core/games/kit/types';
import type { FieldErrors } from '~/core/check/check';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { Panel, Stack } from '~/app/ui/Page';

export interface Setting {
  params: Params;
  ageBand: AgeBand;
  secondsPerTurn: number;
  name: string;
}

/** Keeps the bench's setting under a name; a saved one can be put away. */
export function SaveVariant({
  variantId,
  setting,
  works,
  onName,
  onSaved,
}: {
  variantId?: string | undefined;
  setting: Setting;
  /** Whether the setting can be reckoned: one that cannot is not saved. */
  works: boolean;
  onName: (name: string) => void;
  onSaved: () => void;
}) {
  const errors: FieldErrors = useActionData<{ errors: FieldErrors }>()?.errors ?? {};
  const busy = useSending();
  const justSaved = useSearchParams()[0].has('saved');
  return (
    <Panel aria-labelledby="save">
      <Form method="post" onSubmit={onSaved}>
        <Stack $gap="0.8rem">
          <h2 id="save">Keep it</h2>
          {justSaved && (
            <Said
              kind="done"
              word="Saved"
              live
              action={<ButtonLink href="/fill/new">Fill a kit with it</ButtonLink>}
            >
              It can go into a kit now.
            </Said>
          )}
          {errors.params && <Said kind="stop">{errors.params}</Said>}
          <input type="hidden" name="params" value={JSON.stringify(setting.params)} />
          <input type="hidden" name="ageBand" value={setting.ageBand} />
          <TextBox
            name="name"
            label="Name of the variant"
            value={setting.name}
            onChange={onName}
            error={errors.name}
            maxLength={60}
          />
          <Button type="submit" isPending={busy} isDisabled={!works}>
            Save this variant
          </Button>
        </Stack>
      </Form>
      {variantId && (
        <Form method="post" style={{ marginTop: '0.8rem' }}>
          <input type="hidden" name="intent" value="archive" />
          <input type="hidden" name="variant" value={variantId} />
          <Stack $gap="0.6rem">
            {errors.archive && (
              <Said kind="mind" word="Not put away" live>
                {errors.archive}
              </Said>
            )}
            <Button type="submit" quiet clay>
              Put this variant away
            </Button>
          </Stack>
        </Form>
      )}
    </Panel>
  );
}
