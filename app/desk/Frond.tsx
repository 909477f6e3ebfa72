import { NavLink } from 'react-router';
import styled from 'styled-components';
import type { Role } from '~/core/people/role';
import { forgetDrafts } from '~/app/ui/remember';
import { dropPage, sendAll, type Mine } from './hallKept';
import { STATIONS, type StationKey } from './stations';
import { color, type } from '~/app/ui/theme';

const Bar = styled.header`
  position: relative;
  background: linear-gradient(${color.paper}, #f4eedb);
  border-bottom: 1px solid ${color.line};
  .inner {
    position: relative;
    max-width: 1280px;
    margin: 0 auto;
    padding: 0.55rem 1.75rem 0.5rem;
    display: flex;
    align-items: center;
    gap: 1.1rem;
  }
  .stem {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    pointer-events: none;
  }
  .name {
    position: relative;
    font-family: ${type.display};
    font-size: 1.3rem;
    line-height: 1.05;
    color: ${color.deepFern};
    text-decoration: none;
    background: ${color.paper};
    padding-right: 0.6rem;
    flex: none;
    min-height: 44px;
    display: flex;
    align-items: center;
  }
  .who {
    position: relative;
    margin-inline-start: auto;
    text-align: end;
    line-height: 1.25;
    background: #f7f1e1;
    padding-inline-start: 0.6rem;
    flex: none;
  }
  .who .school {
    max-width: 9.5rem;
    max-height: 2.5em;
    overflow: hidden;
    line-height: 1.2;
    font-weight: 700;
  }
  .who .person {
    display: flex;
    flex-direction: column;
    align-items: end;
  }
  .who .school + .person {
    flex-direction: row;
    align-items: baseline;
    justify-content: end;
    gap: 0.9rem;
  }
  .who button {
    border: 0;
    padding: 0;
    min-height: 28px;
    background: none;
    color: ${color.shore};
    text-decoration: underline;
    text-underline-offset: 3px;
    cursor: pointer;
  }
  @media (max-width: 1100px) {
    .inner {
      flex-wrap: wrap;
    }
    nav {
      order: 3;
      flex-basis: 100%;
    }
  }
`;
const Leaves = styled.ul`
  position: relative;
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 0.35rem;
  li:nth-child(odd) {
    transform: translateY(-5px);
  }
  li:nth-child(even) {
    transform: translateY(6px);
  }
  a {
    display: inline-flex;
    align-items: center;
    gap: 0.45rem;
    min-height: 44px;
    padding: 0.3rem 0.8rem;
    background: ${color.sprout};
    border: 1.5px solid #9cb58f;
    color: ${color.deepFern};
    text-decoration: none;
    white-space: nowrap;
  }
  /* A leaf grows away from the stem: upwards and downwards by turns. */
  li:nth-child(odd) a {
    border-radius: 4px 22px 4px 20px;
  }
  li:nth-child(even) a {
    border-radius: 20px 4px 22px 4px;
  }
  a:hover {
    background: #d3e2c9;
  }
  a[aria-current='page'] {
    background: ${color.fern};
    border-color: ${color.deepFern};
    color: ${color.paper};
    font-weight: 700;
    padding-inline: 1.2rem;
    min-height: 50px;
  }
  .seed {
    min-width: 1.6em;
    padding: 0 0.35em;
    border-radius: 50% 50% 50% 4px;
    background: ${color.straw};
    color: ${color.ink};
    font-weight: 700;
    text-align: center;
    font-variant-numeric: tabular-nums;
  }
`;

interface FrondProps {
  waiting: Record<StationKey, number>;
  person: { id: string; name: string; role: Role };
  /** The school that is open, and whether there are others to open. */
  school: { id: string; name: string; among: number };
}

/**
 * Makes a device ready for the next person: what was scanned without network is sent, drafts and the page of the hall go.
 * What cannot be sent stays for whoever did it, and they are asked first. Answers whether they sign out.
 */
async function leave(mine: Mine): Promise<boolean> {
  try {
    const left = await sendAll(mine);
    if (
      left > 0 &&
      !confirm(
        `${left === 1 ? 'One scan' : `${left} scans`} from the hall could not be sent yet. They stay on this device, and are sent when you sign in here again. Sign out now?`,
      )
    )
      return false;
    await dropPage();
  } catch {
    // A browser that keeps nothing has nothing to send.
  }
  forgetDrafts();
  return true;
}

/** What the number on a leaf counts. */
const waitsOf = (waits: readonly [string, string], n: number): string => waits[n === 1 ? 0 : 1];

/** The way about: one stem, a leaf for each station in working order, with the count of what waits there. */
export const Frond = ({ waiting, person, school }: FrondProps) => (
  <Bar>
    <div className="inner">
      <svg className="stem" viewBox="0 0 1280 66" preserveAspectRatio="none" aria-hidden>
        <path
          d="M150 36C300 22 420 46 560 33S860 22 1000 34s150 4 200-8"
          fill="none"
          stroke="#7f9d73"
          strokeWidth="3"
        />
      </svg>
      <a className="name" href="/">
        Fern
        <br />
        Basket
      </a>
      <nav aria-label="Stations">
        <Leaves>
          {STATIONS.filter((station) => station.roles.includes(person.role)).map((station) => (
            <li key={station.key}>
              <NavLink to={station.path} prefetch="intent">
                {station.label}
                {waiting[station.key] > 0 && (
                  <span className="seed" title={waitsOf(station.waits, waiting[station.key])}>
                    {waiting[station.key]}
                    <span className="visually-hidden"> {waitsOf(station.waits, waiting[station.key])}</span>
                  </span>
                )}
              </NavLink>
            </li>
          ))}
        </Leaves>
      </nav>
      <form
        className="who"
        method="post"
        action="/sign-out"
        onSubmit={(event) => {
          event.preventDefault();
          const form = event.currentTarget;
          void leave({ person: person.id, school: school.id }).then((goes) => goes && form.submit());
        }}
      >
        {school.among > 1 && (
          <div className="school">
            <NavLink to="/schools" aria-label={`${school.name}: open another school`}>
              {school.name}
            </NavLink>
          </div>
        )}
        <div className="person">
          <NavLink to={person.role === 'coordinator' ? '/people' : '/me'}>{person.name}</NavLink>
          <button type="submit">Sign out</button>
        </div>
      </form>
    </div>
  </Bar>
);
