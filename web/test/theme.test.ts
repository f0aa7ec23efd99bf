import { expect } from 'chai';
import { readFileSync } from 'node:fs';

const css = readFileSync(new URL('../src/theme.css', import.meta.url), 'utf8');

/** Colours of a block of the theme, by name. */
function colours(opening: string): Record<string, string> {
  const from = css.indexOf(opening);
  const block = css.slice(from, css.indexOf('}', from));
  return Object.fromEntries(
    [...block.matchAll(/--(?:color-)?([\w-]+): (#[0-9a-f]{6});/g)].map((m) => [m[1], m[2]]),
  );
}

/** Relative luminance, 0..1. Source: WCAG 2.2, definition of relative luminance. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((i) => {
    const c = parseInt(hex.slice(i, i + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
const contrast = (a: string, b: string): number => {
  const light = Math.max(luminance(a), luminance(b));
  const dark = Math.min(luminance(a), luminance(b));
  return (light + 0.05) / (dark + 0.05);
};

const GROUNDS = ['base-100', 'base-200'];
const TINTS = ['due', 'celadon', 'cold', 'slip', 'rest'];
const INKS = ['base-content', 'ink-soft', 'primary', 'accent', 'info', 'error', 'warning'];
const FILLED = ['primary', 'secondary', 'accent', 'neutral', 'info', 'success', 'warning', 'error'];

describe('the two themes', () => {
  it('contrast is worked out as the standard does: black on white is 21, #777 on white 4.48', () => {
    expect(contrast('#000000', '#ffffff')).to.equal(21);
    expect(contrast('#777777', '#ffffff')).to.be.closeTo(4.48, 0.005);
  });

  for (const [name, theme, own] of [
    ['ash', "name: 'ash'", ":root,\n[data-theme='ash'] {"],
    ['kuro', "name: 'kuro'", "[data-theme='kuro'] {"],
  ])
    it(`every ink of ${name} can be read on every ground it stands on (4.5, WCAG 2.2, 1.4.3)`, () => {
      const c = { ...colours(theme), ...colours(own) };
      const pairs = [
        ...INKS.flatMap((ink) => GROUNDS.map((ground) => [ink, ground])),
        ...TINTS.flatMap((tint) => ['base-content', 'ink-soft'].map((ink) => [ink, tint])),
        ...FILLED.map((fill) => [`${fill}-content`, fill]),
      ];
      const weak = pairs.filter(([ink, ground]) => contrast(c[ink], c[ground]) < 4.5);
      expect(
        weak.map(([ink, ground]) => `${ink} on ${ground}: ${contrast(c[ink], c[ground]).toFixed(2)}`),
      ).to.deep.equal([]);
    });
});
