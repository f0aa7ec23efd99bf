import { forEveryone, inTheDark } from './everyone.ts';
import { here } from './here.ts';
import { SCREENS } from './screens.ts';

/** In the dark these three show every kind of colour; the theme itself is worked out in web/test/theme.test.ts. */
const DARK = ['round', 'course', 'year'];

describe('every screen for everyone', () => {
  const at = here();

  it('axe finds nothing serious, at a desk and in one hand', () => forEveryone(at)).timeout(300_000);

  // a course is reached from the register
  it('nor in the dark', () =>
    inTheDark(
      at,
      SCREENS.filter((s) => DARK.includes(s.name)),
    )).timeout(120_000);
});
