import { Link } from 'react-router';
import styled from 'styled-components';
import { AGE_BANDS } from '~/core/games/kit/types';
import { count } from '~/core/words/numbers';
import { listKits } from '~/data/queries/kits';
import { requireRole } from '~/server/people/session';
import { ButtonLink } from '~/app/ui/Button';
import { Empty, Faint, Heading, Stack, State, Wide, Row } from '~/app/ui/Page';
import { color, cut } from '~/app/ui/theme';
import type { Route } from './+types/kits';

export const meta: Route.MetaFunction = () => [{ title: 'Fill · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  const { at } = person;
  return { kits: await listKits(at), mayChange: person.role === 'coordinator' };
}

const Baskets = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(330px, 1fr));
  gap: 1.2rem;
`;
const Basket = styled.li`
  ${cut}
  background: ${color.sheet};
  border: 1px solid ${color.line};
  border-bottom: 12px solid #d9c79a;
  border-bottom-left-radius: 26px 18px;
  border-bottom-right-radius: 30px 18px;
  padding: 1rem 1.3rem 1.1rem;
  display: grid;
  gap: 0.4rem;
`;

export default function Kits({ loaderData }: Route.ComponentProps) {
  const { kits, mayChange } = loaderData;
  const start = (
    <Row>
      {mayChange && <ButtonLink href="/fill/new">Start a new kit</ButtonLink>}
      <ButtonLink quiet href="/fill/runs">
        Build runs
      </ButtonLink>
      <ButtonLink quiet href="/fill/store">
        The store
      </ButtonLink>
    </Row>
  );
  return (
    <Wide>
      <Stack $gap="1.6rem">
        <Heading title="Fill a kit" action={start}>
          Which basket do you want to fill, or build once more?
        </Heading>
        {kits.length === 0 ? (
          <Empty title="No kit yet" action={start}>
            A kit is a list of games with their parts. From a kit you build as many copies as you lend.
          </Empty>
        ) : (
          <Baskets>
            {kits.map((kit) => (
              <Basket key={kit.id}>
                <h2>
                  <Link to={`/fill/${kit.id}`}>{kit.name}</Link>
                </h2>
                <Faint>
                  {AGE_BANDS[kit.ageBand]}, {count(kit.players, 'player')}
                </Faint>
                <p>{kit.variantNames.join(', ') || 'No games yet'}</p>
                <p>
                  {kit.copies === 0 ? (
                    <State tone="wait">not built yet</State>
                  ) : (
                    <State tone="calm">{`${kit.copies} ${kit.copies === 1 ? 'copy' : 'copies'}, ${kit.out} out`}</State>
                  )}
                </p>
              </Basket>
            ))}
          </Baskets>
        )}
      </Stack>
    </Wide>
  );
}
