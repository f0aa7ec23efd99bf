import type { FittingLine } from '@gonimos/contract/fittings';
import { shortDate } from '../common/dates';

const DOES = { looks: 'look', 'takes off': 'off', renews: 'renew' };

/** "look from 11 Mar", "off by 26 Mar", "late since 2 Mar". */
export function whenWords(f: Pick<FittingLine, 'how' | 'from' | 'due'>, today: string): string {
  if (f.due < today) return `late since ${shortDate(f.due, today)}`;
  if (f.from > today && f.from !== f.due) return `${DOES[f.how]} from ${shortDate(f.from, today)}`;
  return `${DOES[f.how]} by ${shortDate(f.due, today)}`;
}
