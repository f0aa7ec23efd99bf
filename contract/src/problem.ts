/** Every way in which a request can fail: the status it is answered with, and what it is called. */
export const PROBLEMS = {
  'bad-request': { status: 400, title: 'Bad request' },
  'not-signed-in': { status: 401, title: 'Not signed in' },
  'not-for-this-role': { status: 403, title: 'Not for this role' },
  'no-way-in': { status: 403, title: 'Not the demo' },
  'not-found': { status: 404, title: 'Not found' },
  conflict: { status: 409, title: 'Conflict' },
  'not-the-demo': { status: 409, title: 'Not the demo' },
  'too-large': { status: 413, title: 'Too large' },
  'cannot-be-done': { status: 422, title: 'Cannot be done' },
  'cannot-be-followed': { status: 422, title: 'Cannot be followed' },
  'cannot-be-read': { status: 422, title: 'Cannot be read' },
  'refused-by-a-rule': { status: 422, title: 'Refused by a rule' },
  'is-it-meant': { status: 422, title: 'Is it meant so?' },
  'too-many-tries': { status: 429, title: 'Too many tries' },
  fault: { status: 500, title: 'Fault' },
  away: { status: 503, title: 'Away' },
  busy: { status: 503, title: 'Busy' },
  'not-known': { status: 503, title: 'Not known' },
} as const satisfies Record<string, { status: number; title: string }>;

export type ProblemCode = keyof typeof PROBLEMS;

/** Problem details, RFC 9457, with a code of the table above. */
export interface Problem {
  type: string;
  code: ProblemCode;
  title: string;
  status: number;
  detail: string;
  /** what is wrong with which field */
  errors?: { field: string; reason: string }[];
  /** 409: what stands now */
  current?: unknown;
}
