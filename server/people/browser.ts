/** A browser in a few words, so that its owner knows it again: "Firefox on Windows". Nothing finer is kept. */
export function browserWords(agent: string | null): string {
  const text = (agent ?? '').slice(0, 400);
  const first = (pairs: readonly (readonly [RegExp, string])[]): string | undefined =>
    pairs.find(([sign]) => sign.test(text))?.[1];
  const program = first([
    [/Edg(e|A|iOS)?\//, 'Edge'],
    [/Firefox\/|FxiOS\//, 'Firefox'],
    [/Chrome\/|CriOS\//, 'Chrome'],
    [/Safari\//, 'Safari'],
  ]);
  const system = first([
    [/Android/, 'Android'],
    [/iPhone|iPad/, 'an Apple phone or tablet'],
    [/Windows/, 'Windows'],
    [/Mac OS X/, 'a Mac'],
    [/CrOS/, 'a Chromebook'],
    [/Linux/, 'Linux'],
  ]);
  return program && system ? `${program} on ${system}` : (program ?? system ?? 'another browser');
}
