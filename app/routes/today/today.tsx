import { fromDate } from '@internationalized/date';
import { Link } from 'react-router';
import styled from 'styled-components';
import { dayWork } from '~/core/lending/day';
import { daysAfter, showDay } from '~/core/lending/due';
import { capital, count } from '~/core/words/numbers';
import { messagesOf } from '~/server/lending/evening';
import { now } from '~/data/db';
import { lastDaily } from '~/data/queries/daily';
import { BACKUP, HERE } from '~/server/backup/daily';
import { dayOf } from '~/server/day';
import { requireRole } from '~/server/people/session';
import { today as todayAtSchool } from '~/server/today';
import { ButtonLink } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { unusual } from '~/core/people/security';
import { securityOfADay } from '~/data/queries/security';
import { EVENING_HOUR, whenTold } from '~/server/lending/hour';
import { Faint, Heading, Wide } from '~/app/ui/Page';
import { color, type } from '~/app/ui/theme';
import type { Route } from './+types/today';

export const meta: Route.MetaFunction = () => [{ title: 'Today · Fern Basket' }];

/** So many hours after families should have heard, what they have not heard is late. */
const LATE_HOURS = 1;

export async function loader({ request }: Route.LoaderArgs) {
  const { at, role, name, ofDistrict } = await requireRole(request, 'coordinator', 'helper', 'reader');
  const today = todayAtSchool(at);
  const [day, tonight] = await Promise.all([
    dayOf(at),
    role === 'coordinator' ? messagesOf(at, today) : undefined,
  ]);
  const backup = ofDistrict ? await lastDaily(BACKUP) : undefined;
  const missed = backup && backup.lastOn < daysAfter(todayAtSchool(HERE), -1);
  return {
    name,
    today,
    late: role === 'coordinator' && fromDate(now(), at.timeZone).hour >= EVENING_HOUR + LATE_HOURS,
    when: whenTold(),
    unusual: role === 'coordinator' ? unusual(await securityOfADay(at)) : [],
    backup: missed
      ? `The last one is of ${showDay(backup.lastOn)}.`
      : backup?.told.startsWith('failed')
        ? backup.told.replace(/^failed: /, '')
        : undefined,
    tasks: dayWork(day, role).map(({ roles: _, ...task }) => task),
    tonight: tonight && {
      families: tonight.length,
      onPaper: tonight.filter(({ state }) => state === 'paper').length,
      held: tonight.filter(({ state }) => state === 'held').length,
    },
  };
}

/** One page of a notebook, with a margin line; what is to be done stands between the lines. */
const Notebook = styled.ol`
  list-style: none;
  margin: 0.6rem 0 0;
  padding: 0.4rem 1.4rem 1.4rem 0;
  background:
    linear-gradient(90deg, transparent 3.4rem, #d99b83 3.4rem calc(3.4rem + 2px), transparent 0),
    ${color.sheet};
  border: 1px solid ${color.line};
  border-radius: 3px 14px 6px 18px;
  li {
    display: grid;
    grid-template-columns: 3.4rem minmax(0, 1fr) auto;
    gap: 0 1rem;
    align-items: start;
    padding-block: 0.7rem;
    border-bottom: 1px solid #d9e2dc;
  }
  .number {
    text-align: center;
    font-family: ${type.display};
    font-size: 1.5rem;
    color: ${color.deepFern};
    font-variant-numeric: lining-nums tabular-nums;
  }
  h2 {
    font-size: 1.25rem;
  }
  .about {
    color: ${color.faint};
  }
`;

export default function Today({ loaderData }: Route.ComponentProps) {
  const { name, today, tasks, tonight, late, when, unusual: odd, backup } = loaderData;
  return (
    <Wide>
      <Heading title={`${showDay(today)}: what there is to do, ${name}`}>
        {tasks.length
          ? 'From top to bottom, if you like. What is done is gone from here.'
          : 'All that can be done today is done.'}
      </Heading>
      {odd.length > 0 && (
        <Said
          kind="mind"
          word="At the doors"
          action={
            <ButtonLink quiet href="/people#doors">
              See what happened
            </ButtonLink>
          }
        >
          {odd.join(' ')}
        </Said>
      )}
      {backup && (
        <Said kind="stop" word="No backup">
          The daily backup was not written. {backup} Whoever runs the server can look at it.
        </Said>
      )}
      <Notebook>
        {tasks.map((task, i) => (
          <li key={task.id}>
            <span className="number" aria-hidden>
              {i + 1}
            </span>
            <div>
              <h2>{task.title}</h2>
              <p>{task.why}</p>
              {task.about.length > 0 && <p className="about">{task.about.join(' · ')}</p>}
            </div>
            <ButtonLink quiet={i > 0} href={task.act.to} aria-label={`${task.act.label}: ${task.title}`}>
              {task.act.label}
            </ButtonLink>
          </li>
        ))}
        {tonight && (
          <li>
            <span className="number" aria-hidden>
              ☾
            </span>
            <div>
              <h2>
                {tonight.families === 0
                  ? 'Nobody is reminded tonight'
                  : late
                    ? `Late: ${count(tonight.families, 'family has', 'families have')} not heard from us yet`
                    : `Tonight ${count(tonight.families, 'family hears', 'families hear')} from us`}
              </h2>
              <p>
                {tonight.families === 0
                  ? 'Nothing is due that was not said before.'
                  : late
                    ? `It should have been said ${when}. It is tried again by itself until midnight; under Messages you can say it now.`
                    : `${capital(when)}, without your doing.${tonight.onPaper ? ` ${count(tonight.onPaper, 'of them')} on paper, to print tomorrow.` : ''}${tonight.held ? ` ${count(tonight.held, 'message is', 'messages are')} held back: the wording is not checked.` : ''}`}
              </p>
            </div>
            {tonight.families > 0 && (
              <Link to="/lend/messages" style={{ alignSelf: 'center' }}>
                Look at messages
              </Link>
            )}
          </li>
        )}
        {tasks.length === 0 && !tonight && (
          <li>
            <span />
            <Faint>Have a good day.</Faint>
          </li>
        )}
      </Notebook>
    </Wide>
  );
}
