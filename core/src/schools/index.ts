import { QUESTIONS } from '../../data/schools.ts';

/** A question on which growers part, with the ways they answer it. */
export interface Question {
  id: string;
  question: string;
  options: Record<string, string>;
  /** what holds where nobody chose */
  usual: string;
  /** whether the answer moves the plan, or what is used for it */
  decides: 'plan' | 'material';
}

export type QuestionId = (typeof QUESTIONS)[number]['id'];
/** Answers given at one level: the nursery, a programme or a cohort. */
export type Choices = Partial<Record<QuestionId, string>>;

export interface Levels {
  cohort?: Choices;
  programme?: Choices;
  nursery?: Choices;
}

export interface Chosen {
  option: string;
  from: 'cohort' | 'programme' | 'nursery' | 'library';
}

const byId = new Map<string, Question>(QUESTIONS.map((q) => [q.id, q]));
export const isQuestion = (id: string): id is QuestionId => byId.has(id);
export const isOption = (id: string, option: string): boolean =>
  Object.hasOwn(byId.get(id)?.options ?? {}, option);
export const questionOf = (id: QuestionId): Question => byId.get(id)!;

/** The school in force: the cohort's, else the programme's, the nursery's, or the usual one. */
export function chosen(id: QuestionId, { cohort, programme, nursery }: Levels): Chosen {
  if (cohort?.[id]) return { option: cohort[id], from: 'cohort' };
  if (programme?.[id]) return { option: programme[id], from: 'programme' };
  if (nursery?.[id]) return { option: nursery[id], from: 'nursery' };
  return { option: questionOf(id).usual, from: 'library' };
}

export { QUESTIONS };
