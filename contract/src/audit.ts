/** A change of people, site, schools or programmes: who made it, and when. */
export interface AuditLine {
  seq: number;
  at: string;
  subject: 'people' | 'site' | 'schools' | 'programme' | 'operation' | 'taxon' | 'container';
  what: string;
  by: string;
}
