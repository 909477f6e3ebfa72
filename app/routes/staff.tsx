import { useEffect, useState } from 'react';
import { Outlet, useLocation, useNavigation } from 'react-router';
import styled from 'styled-components';
import { listMaterials } from '~/data/queries/materials';
import { waitingOf } from '~/core/lending/day';
import { requireRole } from '~/server/people/session';
import { dayLately, dayOf } from '~/server/day';
import { Fault, faultOf } from '~/app/ui/Fault';
import { MaterialsContext } from '~/app/ui/materials';
import { Frond } from '~/app/desk/Frond';
import { dropPage } from '~/app/desk/hallKept';
import { ReadyProvider, ScanLine, type ReadyAction } from '~/app/desk/ScanLine';
import { OtherSchool, useOpenElsewhere } from '~/app/desk/OtherSchool';
import { forgetDrafts, PersonContext } from '~/app/ui/remember';
import { color } from '~/app/ui/theme';
import type { Route } from './+types/staff';

/** What every staff screen shares: the frond on top and the scan line at the foot. */
export async function loader({ request }: Route.LoaderArgs) {
  const person = await requireRole(request, 'coordinator', 'helper', 'reader');
  const { at } = person;
  // The page of the day and what stands beside the stations are one count.
  const day = new URL(request.url).pathname === '/today' ? dayOf(at) : dayLately(at);
  const { id, name, role, school, schools } = person;
  return {
    person: { id, name, role },
    school: { id: school.id, name: school.name, among: schools, languages: school.languages },
    waiting: waitingOf(await day, role),
    materials: await listMaterials(at),
  };
}

const Progress = styled.div`
  position: fixed;
  inset: 0 0 auto 0;
  height: 3px;
  background: ${color.straw};
  z-index: 20;
  transform-origin: left;
  animation: grow 1.2s ease-out both;
  @keyframes grow {
    from {
      transform: scaleX(0);
    }
    to {
      transform: scaleX(0.9);
    }
  }
`;

export default function Staff({ loaderData }: Route.ComponentProps) {
  const [ready, setReady] = useState<ReadyAction>();
  const busy = useNavigation().state === 'loading';
  // There everything is scanned into one box of its own.
  const inHall = useLocation().pathname === '/lend/hall';
  const { person, school, materials } = loaderData;
  const elsewhere = useOpenElsewhere(person.id, school.id);
  // What somebody else had left in this browser is not for the eyes of the next person.
  useEffect(() => {
    forgetDrafts(person.id);
    void dropPage({ person: person.id, school: school.id }).catch(() => undefined);
  }, [person.id, school.id]);
  return (
    <PersonContext value={`${person.id}:${school.id}`}>
      <MaterialsContext value={materials}>
        <a className="visually-hidden" href="#work">
          Skip to the work
        </a>
        {busy && <Progress role="progressbar" aria-label="Loading" />}
        <Frond {...loaderData} />
        <ReadyProvider value={setReady}>
          {elsewhere && <OtherSchool here={school} />}
          <div id="work" inert={elsewhere}>
            <Outlet />
          </div>
        </ReadyProvider>
        {person.role !== 'reader' && !elsewhere && !inHall && <ScanLine ready={ready} />}
      </MaterialsContext>
    </PersonContext>
  );
}

export function ErrorBoundary({ error, loaderData }: Route.ErrorBoundaryProps) {
  return (
    <>
      {loaderData && <Frond {...loaderData} />}
      <Fault {...faultOf(error)} />
    </>
  );
}
