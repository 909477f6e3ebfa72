/** The parts of jstat that are used: it ships no types of its own. */
declare module 'jstat' {
  const jstat: {
    jStat: {
      erf(x: number): number;
      /** The regularized lower incomplete gamma function P(a, x). */
      ibeta(x: number, a: number, b: number): number;
      gammaln(x: number): number;
      lowRegGamma(a: number, x: number): number;
      normal: { inv(p: number, mean: number, sd: number): number };
      studentt: { inv(p: number, dof: number): number };
      gamma: { inv(p: number, shape: number, scale: number): number };
    };
  };
  export default jstat;
}
