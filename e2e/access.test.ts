import { DESK } from './browser.ts';
import { forEveryone } from './everyone.ts';
import { here } from './here.ts';
import { SCREENS } from './screens.ts';

/** In the dark these three show every kind of colour; the theme itself is worked out in web/test/theme.test.ts. */
const DARK = ['round', 'course', 'year'];

describe('every screen for everyone, at a desk', () => {
  const at = here();

  it('axe finds nothing serious, in the light', () =>
    forEveryone(at, { viewport: DESK, dark: false })).timeout(300_000);

  it('nor in the dark', () => {
    // a course is reached from the register
    const screens = SCREENS.filter((s) => DARK.includes(s.name));
    return forEveryone(at, { viewport: DESK, dark: true, screens });
  }).timeout(120_000);
});
