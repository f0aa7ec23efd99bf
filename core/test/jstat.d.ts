/** The part of jstat the tests compare with; the package ships no types. */
declare module 'jstat' {
  const jstat: { binomial: { cdf(k: number, n: number, p: number): number } };
  export default jstat;
}
