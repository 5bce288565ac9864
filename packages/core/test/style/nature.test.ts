import { checkKindOf, ovenPlace } from '@tender-crumb/core/hands';
import { toHave } from '@tender-crumb/core/lead';
import { usualShaping } from '@tender-crumb/core/process';
import { coolingOf, forms, ovenStands, styleIds, styles, touches } from '@tender-crumb/core/style';
import { expect } from 'chai';

/** What each style is asked for, and where the answer is used: a new one answers all of it. */
describe('a style is whole', () => {
  for (const id of styleIds)
    it(`${id}: form, oven, touch, rise, gluten, cutting, salt and oven minutes hang together`, () => {
      const { form, stands, touch, baking, window, salt, loss } = styles[id];
      expect(forms).to.include(form);
      expect(ovenStands).to.include(stands);
      expect(touches).to.include(touch);
      expect(window[0]).to.be.below(window[1]);
      expect(usualShaping({ style: id }).form).to.equal(form);
      expect(ovenPlace(id, form).lid !== undefined).to.equal(stands === 'pot');
      // A pot is heated through with the oven.
      expect(baking.heating.value >= 45, 'heating').to.equal(stands === 'pot');
      // What is felt as a paste or as rubber is so in a machine too, and whatever its window is.
      if (touch !== 'wheat')
        for (const device of ['hand', 'liquids-first'] as const)
          expect(checkKindOf(id, device, false, [-9, 40])).to.equal(touch);
      expect(['hand', 'slack', 'rye', 'low-carb', 'stirred']).to.include(
        checkKindOf(id, 'hand', false),
      );
      const { cut, says } = coolingOf(id, 1000 * baking.kilograms);
      expect(cut).to.be.closeTo(baking.cooling.value, 2.5);
      expect(says).to.not.equal('');
      if (salt) expect(salt[0]).to.be.below(salt[1]);
      expect(loss.value).to.be.within(stands === 'steamer' ? 0 : 0.05, 0.3);
      expect(toHave({ style: id }).some((t) => /\b(?:tin|tray|pot)\b/.test(t))).to.equal(true);
    });

  it('what only some are, only those are', () => {
    const those = (is: (id: (typeof styleIds)[number]) => boolean) => styleIds.filter(is);
    expect(those((id) => !styles[id].rises)).to.deep.equal([
      'flatbread',
      'rolled-thin',
      'griddle',
      'quick',
    ]);
    expect(those((id) => !styles[id].kneaded)).to.deep.equal(['stirred-tin', 'quick']);
    expect(those((id) => styles[id].stands === 'steamer')).to.deep.equal(['steamed']);
    expect(those((id) => styles[id].littleGluten)).to.deep.equal(['rye', 'gluten-free']);
    expect(those((id) => styles[id].stands === 'pot')).to.deep.equal([
      'hearth-white',
      'hearth-wholegrain',
    ]);
    expect(those((id) => styles[id].stands === 'low')).to.deep.equal([
      'pizza',
      'flatbread',
      'slack',
    ]);
  });

  it('a bread that stands on a tray asks for no tin', () => {
    const asks = (style: (typeof styleIds)[number], word: string) =>
      toHave({ style }).some((t) => t.includes(word));
    expect(asks('pan', 'loaf tin')).to.equal(true);
    expect(asks('pizza', 'loaf tin')).to.equal(false);
    expect(asks('hearth-yeast', 'loaf tin')).to.equal(false);
    expect(toHave({ style: 'pan', pieces: 9 }).join()).to.contain('tray');
    expect(asks('hearth-white', 'pot')).to.equal(true);
  });
});
