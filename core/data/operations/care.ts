import { growth, lag, outdoors, season, swelling, warm } from './windows.ts';
import { row } from './row.ts';

/** Aftercare, protection and looks between the big steps. */
export const CARE = [
  row('survival-look', 'Two-week look', 'care', { any: lag(12, 24) }, 0.2, [], {
    asks: ['alive'],
    risk: 'life',
  }),
  row('first-feed', 'First feed after root work', 'care', { any: lag(28, 56) }, 0.2, ['scoop'], {
    schoolWindows: { question: 'feed', options: { 'at-once': { any: lag(0, 14), warm: lag(0, 14) } } },
    caution: 'Feed: follow the label and local rules.',
  }),
  row('mist', 'Mist by day', 'care', { any: lag(0, 14) }, 0.3, ['mist bottle'], { lapses: true }),
  row('shade', 'Under shade, out of the wind', 'care', { any: lag(0, 2) }, 0.2, ['shade cloth'], {
    lapses: true,
    aftercare: [{ operation: 'shade-off' }],
  }),
  row('shade-off', 'Shade off', 'care', { any: growth(0.15, 21) }, 0.1, []),
  row('wedges-out', 'Wedges out', 'care', { any: lag(21, 28) }, 0.3, [], {
    tends: { what: 'wedge', how: 'takes off' },
    risk: 'bites',
  }),
  row(
    'tie-check',
    'Tie-downs: bite check; they stay until the next opening',
    'care',
    { any: swelling('base', 0.2, 30) },
    0.5,
    ['wire cutters'],
    { tends: { what: 'tie-down', how: 'looks' }, risk: 'bites' },
  ),
  row(
    'frost-shelter',
    'Into frost-free shelter until the buds move',
    'care',
    { any: lag(0, 2) },
    0.5,
    ['trolley'],
    { risk: 'frost', caution: 'Heavy pots: two people or a trolley.' },
  ),
  row('moss-off', 'Moss off, new growth shows', 'care', { any: growth(0.12, 35) }, 0.3, [], {
    tends: { what: 'moss', how: 'takes off' },
  }),
  row('guard-on', 'Cover on: mesh or guard', 'care', { any: lag(0, 7) }, 0.2, ['mesh cover'], {
    cover: 'on',
    risk: 'guard',
    aftercare: [{ operation: 'guard-off' }],
  }),
  row('guard-off', 'Cover off', 'care', { any: growth(0.7, 60) }, 0.2, [], {
    cover: 'off',
    tends: { what: 'cover', how: 'takes off' },
    risk: 'bites',
  }),
  row('repellent', 'Repellent on against browsing', 'care', { any: lag(0, 14) }, 0.1, ['sprayer'], {
    risk: 'guard',
    aftercare: [{ operation: 'repellent-again' }],
    caution: 'Repellent: follow the label and local rules; keep it off what is eaten.',
  }),
  row(
    'repellent-again',
    'Repellent renewed, it has worn off',
    'care',
    { any: lag(42, 63) },
    0.1,
    ['sprayer'],
    {
      tends: { what: 'repellent', how: 'renews' },
      risk: 'guard',
      caution: 'Repellent: follow the label and local rules; keep it off what is eaten.',
    },
  ),
  row('stake', 'Stake or prop against the wind', 'care', { any: lag(0, 7) }, 2, ['stake', 'soft tie'], {
    aftercare: [{ operation: 'stake-off' }],
  }),
  row('stake-off', 'Stake and props away, it stands alone', 'care', { any: growth(1, 60) }, 0.5, [], {
    tends: { what: 'stake', how: 'takes off' },
    risk: 'bites',
  }),
  row(
    'moss-pocket',
    'Moss pocket on the bare side',
    'care',
    { any: season(['bud-break', 10], ['flush-hard', 20]), warm: warm(0, 75) },
    6,
    ['moss', 'knife', 'dark film'],
    { wounds: true, aftercare: [{ operation: 'root-check' }] },
  ),
  row(
    'bring-in',
    'Bring in before frost',
    'care',
    { any: { kind: 'cold', side: 'first', opens: -28, closes: 0 } },
    0.5,
    ['trolley'],
    { shelters: true, risk: 'frost', caution: 'Heavy pots: two people or a trolley.' },
  ),
  row(
    'harden-off',
    'Harden off: out by day, in by night',
    'care',
    { any: outdoors(['last-frost', -21], ['last-frost', 30]) },
    1,
    ['trolley'],
    { hardens: true },
  ),
  row(
    'take-out',
    'Take out for the summer',
    'care',
    { any: { kind: 'cold', side: 'last', opens: 1, closes: 50 } },
    0.5,
    ['trolley'],
    {
      exposes: true,
      caution: 'Heavy pots: two people or a trolley.',
    },
  ),
  row(
    'go-dormant',
    'Move out to go dormant',
    'care',
    {
      any: outdoors(['leaf-fall-done', -60], ['leaf-fall-done', -5]),
    },
    0.5,
    ['trolley'],
    {
      exposes: true,
      caution: 'Heavy pots: two people or a trolley.',
    },
  ),
  row(
    'winter-cover',
    'Heel in or cover the pots before deep cold',
    'care',
    { any: season(['leaf-fall-done', 0], ['leaf-fall-done', 30]) },
    0.3,
    ['fleece'],
    { risk: 'frost' },
  ),
  row(
    'feed',
    'Feed for the season',
    'care',
    {
      any: season(['bud-break', 20], ['flush-hard', 30]),
      warm: warm(10, 60),
    },
    0.2,
    ['scoop'],
    {
      apart: { from: ['lift', 'root-work', 'root-correct', 'training-pot'], days: 28 },
      caution: 'Feed: follow the label and local rules.',
    },
  ),
];
