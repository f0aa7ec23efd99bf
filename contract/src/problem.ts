/** Problem details, RFC 9457. */
export interface Problem {
  type: string;
  title: string;
  status: number;
  detail: string;
  /** what is wrong with which field */
  errors?: { field: string; reason: string }[];
  /** 409: what stands now */
  current?: unknown;
}
