import { PHONE } from './browser.ts';
import { forEveryone } from './everyone.ts';
import { here } from './here.ts';

describe('every screen for everyone, in one hand', () => {
  const at = here();

  it('axe finds nothing serious', () => forEveryone(at, { viewport: PHONE, dark: false })).timeout(300_000);
});
