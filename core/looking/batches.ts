/**
 * How many copies are enough where bags are handed out once a week: families ask together, and a bag that is away comes
 * home in any week with the same chance. A chain over the copies that are away when the day comes.
 */

/** Enough of the ends of a distribution. */
const REST = 1e-12;
const STILL = 1e-10;
const MOST_STEPS = 2000;

/** How likely each number of asks is, of this mean. */
function poisson(mean: number): number[] {
  const chances = [Math.exp(-mean)];
  for (let n = 1, sum = chances[0]!; 1 - sum > REST && n < 10 * mean + 100; n++) {
    chances.push((chances[n - 1]! * mean) / n);
    sum += chances[n]!;
  }
  return chances;
}

/** How likely each number of copies is still away a week later, when so many are. */
function stillAway(away: number, stays: number): number[] {
  const chances = [1];
  for (let i = 0; i < away; i++) {
    chances.push(0);
    for (let n = chances.length - 1; n >= 0; n--)
      chances[n] = chances[n]! * (1 - stays) + (n > 0 ? chances[n - 1]! * stays : 0);
  }
  return chances;
}

/** The share of the asks of a week that find no copy. */
export function turnedAway(asksPerWeek: number, weeksOut: number, copies: number): number {
  if (asksPerWeek === 0) return 0;
  const asks = poisson(asksPerWeek);
  const stays = Math.max(0, 1 - 1 / Math.max(1, weeksOut));
  const left = Array.from({ length: copies + 1 }, (_, away) => stillAway(away, stays));
  let away: number[] = Array.from({ length: copies + 1 }, (_, n) => (n === 0 ? 1 : 0));
  for (let step = 0; step < MOST_STEPS; step++) {
    const next = away.map(() => 0);
    away.forEach((chance, gone) =>
      asks.forEach((likely, n) => {
        const out = Math.min(copies, gone + n);
        left[out]!.forEach((one, still) => (next[still]! += chance * likely * one));
      }),
    );
    const moved = next.reduce((sum, one, n) => sum + Math.abs(one - away[n]!), 0);
    away = next;
    if (moved < STILL) break;
  }
  const vain = away.reduce(
    (sum, chance, gone) =>
      sum + chance * asks.reduce((all, likely, n) => all + likely * Math.max(0, n - (copies - gone)), 0),
    0,
  );
  return vain / asksPerWeek;
}
