/** The one sentence that matters about the answers to a variant. */
import { count } from '~/core/words/numbers';
import { LEVELS, type Level } from '~/core/pack/questions';

export interface Heard {
  familyId: string;
  level: Level | null;
  minutes: number | null;
}

/** Of several answers of one family the last one counts; `heard` is in order of arrival. */
function oneForEachFamily(heard: readonly Heard[]): Heard[] {
  return [...new Map(heard.map((one) => [one.familyId, one])).values()];
}

/**
 * "2 of 3 families found 6 counters just right; 5–12 minutes, against 9 expected."
 * Undefined while nobody has answered about level or minutes.
 */
export function sentenceFor(
  heard: readonly Heard[],
  subject: string,
  expectedMinutes?: number,
): string | undefined {
  const families = oneForEachFamily(heard);
  const levels = families.map((one) => one.level).filter((level) => level !== null);
  const minutes = families.map((one) => one.minutes).filter((value) => value !== null);
  const parts: string[] = [];
  if (levels.length) {
    const tally = (Object.keys(LEVELS) as Level[]).map((level) => ({
      level,
      n: levels.filter((one) => one === level).length,
    }));
    const most = Math.max(...tally.map(({ n }) => n));
    const leaders = tally.filter(({ n }) => n === most);
    const of = count(levels.length, 'family', 'families');
    parts.push(
      leaders.length === 1
        ? `${most} of ${of} found ${subject} ${LEVELS[leaders[0]!.level]}`
        : `${of} do not agree about ${subject}: ${tally
            .filter(({ n }) => n)
            .map(({ level, n }) => `${n} ${LEVELS[level]}`)
            .join(', ')}`,
    );
  }
  if (minutes.length) {
    const [low, high] = [Math.min(...minutes), Math.max(...minutes)];
    parts.push(
      `${low === high ? count(low, 'minute') : `${low}–${high} minutes`}${
        expectedMinutes === undefined ? '' : `, against ${expectedMinutes} expected`
      }`,
    );
  }
  if (parts.length === 0) return undefined;
  const sentence = parts.join('; ');
  return `${sentence[0]!.toUpperCase()}${sentence.slice(1)}.`;
}
