/** A step of the course that is done at a bench: where it stands, and whether it may be done now. */
export interface BenchStep {
  key: string;
  title: string;
  operation: string;
  opens: string;
  closes: string;
  ready: boolean;
}
