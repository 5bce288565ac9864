import { useFonts } from './cards/fonts.ts';

useFonts();

// Invented recipes, printed and photographed by the tests: the reference is the text that was printed.
describe('sixty cards that are photographed', () => {
  for (const seed of [20261201, Math.floor(Math.random() * 1e6)])
    it(`95 of 100 things right or asked about, 1 wrong (seed ${seed})`, async () => {
      const { measureCards } = await import('./cards/measured.ts');
      await measureCards(60, seed, { least: 95, wrong: seed === 20261201 ? 1 : 1.8 });
    });
});
