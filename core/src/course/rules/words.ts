import { conditionWords } from './condition.ts';
import { establishmentWords } from './establishment.ts';
import { exclusiveWords } from './exclusive.ts';
import { exposureWords } from './exposure.ts';
import { layerCutOffWords } from './layer-cut-off.ts';
import { lightWords } from './light.ts';
import { oldWoodWords } from './old-wood.ts';
import { orderWords } from './order.ts';
import { putOffWords } from './put-off.ts';
import { quarantineWords } from './quarantine.ts';
import { recoveryWords } from './recovery.ts';
import { reserveWords } from './reserve.ts';
import { schoolWords } from './school.ts';
import { stockWords } from './stock.ts';
import { weatherGuardWords } from './weather-guard.ts';
import type { RuleName } from '../types.ts';
import type { RuleWords } from './rule.ts';

/** What decides a date without being asked as a rule: the season, the year and the grower's own hand. */
const OTHERS: readonly RuleWords[] = [
  {
    name: 'window',
    words: 'Window of the season',
    wouldChange: 'An earlier or later spring moves it, and what is seen of it; so does another place.',
  },
  { name: 'vigour', words: 'Vigour', wouldChange: 'A better vigour at the next look.' },
  { name: 'labour', words: 'Labour', wouldChange: 'Levelling the year again, or letting the week go.' },
  { name: 'set by hand', words: 'Set by hand', wouldChange: 'You: set another day, or undo this one.' },
];

const ALL: readonly RuleWords[] = [
  conditionWords,
  establishmentWords,
  exclusiveWords,
  exposureWords,
  layerCutOffWords,
  lightWords,
  oldWoodWords,
  orderWords,
  putOffWords,
  quarantineWords,
  recoveryWords,
  reserveWords,
  schoolWords,
  stockWords,
  weatherGuardWords,
  ...OTHERS,
];

/** Every rule by name, in the words growers read; apart from what the rules do, so that a page needs only these. */
export const RULE_WORDS = Object.fromEntries(ALL.map((r) => [r.name, r])) as Record<RuleName, RuleWords>;
