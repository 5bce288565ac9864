import { expect } from 'chai';
import { evenLight, inkIn, tiltOf, withoutRules } from '@tender-crumb/core/picture';
import { sheet, text, withInk } from './draw.ts';

describe('a picture made ready to be read', () => {
  it('a shadow goes, ink stays, and coloured paper is white', () => {
    const shaded = sheet(480, 320);
    for (let y = 0; y < 320; y += 1)
      for (let x = 0; x < 480; x += 1) shaded.pixels[y * 480 + x] = 240 - 140 * (x / 480);
    const even = evenLight(
      withInk(withInk(shaded, [60, 100, 70, 116], 30), [420, 100, 430, 116], 18),
    );
    const at = (x: number, y: number) => even.pixels[y * 480 + x]!;
    for (const x of [10, 120, 240, 360, 470]) expect(at(x, 200), `paper at ${x}`).to.be.above(225);
    expect(at(65, 108)).to.be.below(60);
    expect(at(425, 108)).to.be.below(60);
    expect(evenLight(sheet(300, 200, 130)).pixels[500]).to.be.within(245, 255);
    // Darkness is no paper: it is not made into noise.
    expect(evenLight(sheet(300, 200, 4)).pixels[500]).to.be.below(60);
  });

  for (const degrees of [-4, -1.3, -0.3, 0.3, 2, 3.9])
    it(`a page that lies ${degrees}° askew is found to`, () => {
      expect(tiltOf(text(degrees))).to.be.closeTo(degrees, 0.15);
    });

  it('one that lies straight, and a blank one, are not turned', () => {
    expect(tiltOf(text(0))).to.equal(0);
    expect(tiltOf(sheet(400, 300))).to.equal(0);
    // The table around a card is no text, and lies straight in every picture.
    const strip = withInk(text(2, 800, 260), [0, 0, 800, 30]);
    expect(tiltOf(withInk(strip, [0, 215, 800, 245]))).to.be.closeTo(2, 0.15);
  });

  it('a fold and a frame go, what they cross stays, and short strokes are no rules', () => {
    const letter: readonly [number, number, number, number] = [300, 180, 304, 220];
    const ruled = withInk(withInk(sheet(800, 400), letter), [40, 199, 760, 202]);
    const clean = withoutRules(ruled);
    const at = (x: number, y: number) => clean.pixels[y * 800 + x]!;
    expect(at(100, 200)).to.be.above(200);
    expect(at(700, 200)).to.be.above(200);
    expect(at(302, 185)).to.equal(20);
    expect(at(302, 200)).to.equal(20);
    const frame = withInk(sheet(800, 400), [100, 10, 103, 390]);
    expect(withoutRules(frame).pixels[200 * 800 + 101]).to.be.above(200);
    const dash = withInk(sheet(800, 400), [100, 200, 180, 203]);
    expect(withoutRules(dash).pixels[201 * 800 + 140]).to.equal(20);
    // The edge of a card is thick, and no rule.
    const edge = withInk(sheet(800, 400), [0, 300, 800, 340]);
    expect(withoutRules(edge).pixels[320 * 800 + 400]).to.equal(20);
    // A shadow in a fold is lightened, and letters in it are not.
    const shadow = withInk(sheet(800, 400), [0, 200, 800, 204], 160);
    const written = withInk(shadow, [400, 190, 404, 214], 40);
    const light = withoutRules(written);
    expect(light.pixels[201 * 800 + 100]).to.be.above(240);
    expect(light.pixels[201 * 800 + 402]).to.be.below(90);
  });

  it('ink is counted in letters, in the places of the kept picture', () => {
    const ink = inkIn(withInk(sheet(400, 200), [100, 100, 140, 140]), 2);
    // 1,600 pixels of ink; a letter 10 high in the kept picture has 80 of this one.
    expect(ink({ x0: 0, y0: 0, x1: 200, y1: 100 }, 10)).to.be.closeTo(20, 0.1);
    expect(ink({ x0: 0, y0: 0, x1: 200, y1: 40 }, 10)).to.equal(0);
    expect(ink({ x0: -50, y0: -50, x1: 900, y1: 900 }, 10)).to.be.closeTo(20, 0.1);
  });
});
