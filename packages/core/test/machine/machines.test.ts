import { expect } from 'chai';
import {
  bakeShift,
  crusts,
  kneadMinutes,
  machineSizeIds,
  machineSizes,
  machines,
  paddleStill,
  panDough,
  panFit,
  programmeMinutes,
  spansOf,
  type Machine,
  type Pan,
} from '@tender-crumb/core/machine';

const all: ReadonlyArray<readonly [string, Machine]> = Object.entries(machines);

describe('machines (handbook section 10)', () => {
  it('sizes take the flour that really fits, and their loaves weigh what such flour gives', () => {
    expect(machineSizes['1lb'].flour).to.deep.equal([300, 325]);
    expect(machineSizes['750g'].flour).to.deep.equal([400, 450]);
    expect(machineSizes['750g'].loaf).to.deep.equal([605, 680]);
    expect(machineSizes['2lb'].flour).to.deep.equal([500, 560]);
    expect(machineSizes['2lb'].loaf).to.deep.equal([757, 847]);
    expect(machineSizes['1kg'].flour).to.deep.equal([600, 650]);
    expect(machineSizes['1kg'].loaf).to.deep.equal([908, 984]);
    for (const id of machineSizeIds) {
      const { flour, loaf } = machineSizes[id];
      for (const end of [0, 1] as const)
        expect(loaf[end] / flour[end], id).to.be.within(1.49, 1.53);
    }
  });

  it('a whole programme takes 3 to 4¼ h, a dough about 1½ h, whole grain longer than white (handbook section 16)', () => {
    for (const [id, { programmes }] of all) {
      const of = (use: string) => programmes.find((p) => p.use === use)!;
      expect(programmeMinutes(of('plain')), id).to.be.within(180, 225);
      expect(programmeMinutes(of('whole')), id).to.be.within(
        programmeMinutes(of('plain')) + 15,
        270,
      );
      expect(programmeMinutes(of('dough')), id).to.be.within(85, 100);
      expect(kneadMinutes(of('plain')), id).to.be.within(20, 30);
      expect(kneadMinutes(of('short')), id).to.be.below(kneadMinutes(of('plain')));
    }
  });

  it('the signal comes while it kneads, and the paddle is still before the last proof', () => {
    for (const [id, { programmes }] of all) {
      for (const programme of programmes) {
        const { signal } = programme;
        const at =
          signal === undefined ? undefined : spansOf(programme).find((s) => signal <= s.to);
        if (at) expect(at.kind, `${id} ${programme.id}`).to.equal('knead');
        const still = paddleStill(programme);
        const proof = spansOf(programme).find((s) => s.kind === 'proof');
        if (still !== undefined && proof) expect(still).to.equal(proof.from);
      }
    }
  });

  it('what only keeps it warm is not waited for; size and crust move the baking by 5 to 18 minutes', () => {
    const programme = machines.upright.programmes[0];
    const spans = spansOf(programme);
    expect(spans.at(-1)!.kind).to.equal('warm');
    expect(programmeMinutes(programme)).to.equal(spans.at(-1)!.from);
    expect(bakeShift(machines.upright, '750g', 'medium')).to.equal(0);
    expect(bakeShift(machines.upright, '1kg', 'dark')).to.equal(5 + crusts.dark.minutes);
    expect(bakeShift(machines.upright, '500g', 'light')).to.equal(-10);
    expect(programmeMinutes(programme, 13) - programmeMinutes(programme)).to.equal(13);
  });
});

describe('pans by their volume', () => {
  const pan = (kind: Pan['kind'], millilitres?: number): Pan => ({
    id: 'p',
    kind,
    name: 'pan',
    ...(millilitres === undefined ? {} : { millilitres }),
  });

  it('an open home tin takes 2.0 to 2.7 ml for a gram (handbook section 12)', () => {
    expect(panFit(pan('tin', 2000), 741).fits).to.equal('right');
    expect(panFit(pan('tin', 2000), 740).fits).to.equal('too-large');
    expect(panFit(pan('tin', 2000), 1000).fits).to.equal('right');
    expect(panFit(pan('tin', 2000), 1001).fits).to.equal('too-small');
  });

  it('a lidded pan takes 3.47 ml for a gram of a usual white loaf: 6 cubic inches an ounce', () => {
    // 6 × 16.387 ml to 28.35 g, by definition of inch and ounce.
    expect((6 * 16.387064) / 28.349523).to.be.closeTo(3.47, 0.005);
    expect(panFit(pan('lidded-tin', 3470), 1000).fits).to.equal('right');
    expect(panFit(pan('lidded-tin', 3480), 1000).fits).to.equal('too-large');
  });

  it('whole grain rises less: the same tin wants more of it', () => {
    expect(panDough(pan('tin', 1800), 1)!).to.be.above(panDough(pan('tin', 1800), 0)!);
    expect(panFit(pan('tin', 2000), 760, 0).fits).to.equal('right');
    expect(panFit(pan('tin', 2000), 760, 1).fits).to.equal('too-large');
  });

  it('a pan of 10 l is too large for a pound, and a tray minds nothing', () => {
    const fit = panFit(pan('tin', 10_000), 450);
    expect(fit).to.include({ fits: 'too-large', least: 3704, most: 5000 });
    expect(panFit(pan('tray'), 450)).to.deep.equal({ fits: 'any' });
    expect(panDough(pan('tin'))).to.equal(undefined);
  });
});
