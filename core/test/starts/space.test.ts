import { expect } from 'chai';
import { programme } from '@gonimos/core/programmes';
import { costOf, startUnit } from '@gonimos/core/starts';

describe('room and work of a start', () => {
  const price = { centsEach: 5, wage: 1500 };

  it('seed: places of a flat and minutes of sowing and counting, by hand', () => {
    const c = costOf(programme('seed-broadleaf'), 'corrected', price);
    // a flat of 400 × 300 mm at 32 mm: 12 by 9; sowing 0.2 and counting 0.1 minutes
    expect([c.perTray, c.trayArea]).to.deep.equal([108, 0.12]);
    expect(c.minutesEach).to.be.closeTo(0.3, 1e-9);
    // roots are corrected into 180 mm baskets
    expect(c.areaAtStage).to.be.closeTo(0.18 * 0.18, 1e-9);
  });

  it('cuttings rooted still share their tray; what is started has its own word', () => {
    const c = costOf(programme('cutting-broadleaf'), 'showing', price);
    // 500 × 300 mm at 50 mm: ten by six, each a sixtieth of it
    expect(c.perTray).to.equal(60);
    expect(c.areaAtStage).to.be.closeTo(0.15 / 60, 1e-9);
    const units = ['seed-pine', 'cutting-root', 'air-layer', 'bought-liner'].map((p) =>
      startUnit(programme(p)),
    );
    expect(units).to.deep.equal(['seeds', 'cuttings', 'layers', 'plants']);
  });
});
