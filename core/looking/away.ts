/** How long bags are away, when some of them are still out: these count for as long as they have been, and for no less. */
export interface Away {
  days: number;
  home: boolean;
}

/**
 * The mean of the days away (the area under the curve of Kaplan and Meier); undefined where none has come home yet. Where
 * the longest is still out, what follows is taken to end as evenly as all before. With its standard error.
 */
export function meanAway(loans: readonly Away[]): { days: number; error: number } | undefined {
  const home = loans.filter((one) => one.home);
  if (home.length === 0) return undefined;
  const sorted = [...loans].sort((a, b) => a.days - b.days || Number(b.home) - Number(a.home));
  let [out, area, last] = [1, 0, 0];
  sorted.forEach(({ days, home: came }, i) => {
    area += out * (days - last);
    last = days;
    if (came) out *= 1 - 1 / (sorted.length - i);
  });
  const perDay =
    home.length /
    Math.max(
      1,
      loans.reduce((sum, { days }) => sum + days, 0),
    );
  const mean = area + out / perDay;
  const spread = home.reduce((sum, { days }) => sum + (days - mean) ** 2, 0) / home.length;
  return { days: mean, error: Math.sqrt(spread / home.length) };
}
