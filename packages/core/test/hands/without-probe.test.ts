import { expect } from 'chai';
import { withoutProbe } from '@tender-crumb/core/hands';
import { styles } from '@tender-crumb/core/style';

describe('done, without a probe', () => {
  it('is told by knock, colour and the scale, each with its doubt', () => {
    const signs = withoutProbe(900, { value: 0.12, sd: 0.02 });
    expect(signs.map((s) => s.id)).to.deep.equal(['knock', 'colour', 'weight']);
    // 900 g less 14 and less 10 per cent, to five grams.
    expect(signs[2]!.says).to.contain('775 to 810 g, from 900 g of dough');
  });
  it('every style that an oven bakes has a loss between nothing and a third of it', () => {
    for (const { loss, stands } of Object.values(styles)) {
      if (stands === 'steamer') continue;
      expect(loss.value).to.be.within(0.03, 0.33);
      expect(loss.sd).to.be.greaterThan(0);
    }
  });
});
