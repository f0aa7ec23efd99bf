import { growth, lag, outdoors, season } from './windows.ts';
import { row } from './row.ts';

/** Aftercare, protection and looks between the big steps. */
export const CARE = [
  row('survival-look', 'Two-week look', 'care', { any: lag(12, 24) }, 0.2, [], { asks: ['alive'] }),
  row('first-feed', 'First feed after root work', 'care', { any: lag(28, 56) }, 0.2, ['scoop'], {
    schoolWindows: { question: 'feed', options: { 'at-once': lag(0, 14) } },
    apart: { from: ['lift', 'root-work', 'root-correct', 'training-pot'], days: 0 },
    caution: 'Feed: follow the label and local rules.',
  }),
  row('mist', 'Mist by day', 'care', { any: lag(0, 14) }, 0.3, ['mist bottle']),
  row('shade', 'Under shade, out of the wind', 'care', { any: lag(0, 2) }, 0.2, ['shade cloth'], {
    aftercare: [{ operation: 'shade-off' }],
  }),
  row('shade-off', 'Shade off', 'care', { any: growth(0.15, 21) }, 0.1, []),
  row('wedges-out', 'Wedges and ties out', 'care', { any: lag(21, 35) }, 0.3, ['wire cutters']),
  row('tie-off', 'Tie-downs off before they bite', 'care', { any: growth(0.8, 60) }, 1, ['wire cutters']),
  row('moss-off', 'Moss off', 'care', { any: growth(0.5, 40) }, 0.3, []),
  row('guard-on', 'Guard against animals on', 'care', { any: lag(0, 7) }, 0.2, ['mesh cover'], {
    aftercare: [{ operation: 'guard-off' }],
  }),
  row('guard-off', 'Guard off', 'care', { any: growth(0.7, 60) }, 0.2, []),
  row(
    'bring-in',
    'Bring in before frost',
    'care',
    { any: { kind: 'cold', side: 'first', opens: -28, closes: 0 } },
    0.5,
    ['trolley'],
    {
      caution: 'Heavy pots: two people or a trolley.',
    },
  ),
  row(
    'harden-off',
    'Harden off: out by day, in by night',
    'care',
    { any: outdoors(['last-frost', -21], ['last-frost', 30]) },
    1,
    ['trolley'],
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
    'Winter cover on',
    'care',
    { any: season(['leaf-fall-done', 0], ['leaf-fall-done', 30]) },
    0.3,
    ['fleece'],
  ),
  row(
    'feed',
    'Feed for the season',
    'care',
    {
      any: season(['bud-break', 20], ['flush-hard', 30]),
      'tropical-broadleaf': season(['warm-season', 10], ['warm-season', 90]),
      'swollen-base': season(['warm-season', 10], ['warm-season', 90]),
    },
    0.2,
    ['scoop'],
    {
      apart: { from: ['lift', 'root-work', 'root-correct', 'training-pot'], days: 28 },
      caution: 'Feed: follow the label and local rules.',
    },
  ),
];
