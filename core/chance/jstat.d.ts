/** The parts of jstat that are used: it ships no types of its own. */
declare module 'jstat' {
  const jstat: {
    jStat: {
      erf(x: number): number;
      /** The regularized lower incomplete gamma function P(a, x). */
      lowRegGamma(a: number, x: number): number;
      studentt: { inv(p: number, dof: number): number };
      gamma: { inv(p: number, shape: number, scale: number): number };
    };
  };
  export default jstat;
}
