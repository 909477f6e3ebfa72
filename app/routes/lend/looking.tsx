import { REHEARSE_WORDS } from '~/core/words/rehearse';
import { excerpt } from '~/core/words/reading';
import { tongueOf } from '~/server/games/rehearse';
import { requireRole } from '~/server/people/session';
import { LendWays } from '~/app/desk/LendWays';
import { QuickLook } from '~/app/game/QuickLook';
import { rehearseWords, Tongues } from '~/app/game/Tongues';
import { ButtonLink } from '~/app/ui/Button';
import { Heading, Panel, Stack, Wide } from '~/app/ui/Page';
import type { Route } from './+types/looking';

export const meta: Route.MetaFunction = () => [{ title: 'Looking quickly · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at, school, role } = await requireRole(request, 'coordinator', 'helper');
  const { reading, ...tongue } = await tongueOf(request, at, school.languages);
  return { ...tongue, reading: excerpt(reading, REHEARSE_WORDS), coordinates: role === 'coordinator' };
}

/** The trainer for looking quickly: dots seen for a moment, covered, looked at once more; more of them when it goes well. */
export default function Looking({ loaderData }: Route.ComponentProps) {
  const { reading, languages, direction, coordinates } = loaderData;
  const words = rehearseWords(reading);
  const { language } = reading;
  return (
    <Wide>
      <Stack>
        <LendWays coordinates={coordinates} />
        <div lang={language} dir={direction}>
          <Heading
            title={words('look.title')}
            action={
              <ButtonLink quiet href={`/lend/rehearse?lang=${language}`}>
                {words('all')}
              </ButtonLink>
            }
          >
            {words('look.why')}
          </Heading>
        </div>
        <Tongues languages={languages} current={language} />
        <Panel lang={language} dir={direction} aria-label={words('look.title')}>
          <QuickLook words={words} />
        </Panel>
      </Stack>
    </Wide>
  );
}
