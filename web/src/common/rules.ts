import type { RuleName } from '@gonimos/core/course';

/** The rules by the names growers read. */
export const RULE_WORDS: Record<RuleName, string> = {
  window: 'Window of the season',
  order: 'Order and lag',
  recovery: 'Recovery',
  reserve: 'Reserve',
  vigour: 'Vigour',
  establishment: 'Establishment',
  condition: 'Condition',
  'weather guard': 'Weather guard',
  'layer cut-off': 'Layer cut-off',
  'light on low buds': 'Light on low buds',
  'exclusive work': 'Work kept apart',
  stock: 'Stock',
  labour: 'Labour',
  school: 'School',
  quarantine: 'Quarantine, or found on opening',
  exposure: 'Exposure between places',
  'put off': 'Put off by hand',
  'set by hand': 'Set by hand',
};

export const WOULD_CHANGE: Record<RuleName, string> = {
  window: 'An earlier or later spring moves it, and what is seen of it; so does another place.',
  order: 'Doing the step before it sooner or later moves it day for day.',
  recovery: 'Nothing but time; a lighter cut last time would have freed it sooner.',
  reserve: 'A lighter cut, or a season undisturbed.',
  vigour: 'A better vigour at the next look.',
  establishment: 'A root check that finds them firm, or the record it waits for.',
  condition: 'A larger measurement, or a tally with more buds ready.',
  'weather guard': 'A milder forecast; it is looked at again every day.',
  'layer cut-off': 'A warmer place, or an earlier filling.',
  'light on low buds': 'A place with more light.',
  'exclusive work': 'Moving the other work.',
  stock: 'A delivery, a fresh count, or another container.',
  labour: 'Levelling the year again, or letting the week go.',
  school: 'The school chosen for the nursery, the programme or this cohort.',
  quarantine: 'Releasing the cohort, or another look.',
  exposure: 'Hardening off, another place, or milder nights.',
  'put off': 'You: record it, or put it off to another day.',
  'set by hand': 'You: set another day, or undo this one.',
};
