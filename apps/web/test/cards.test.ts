import { useFonts } from './cards/fonts.ts';

useFonts();

// Invented recipes, printed and photographed by the tests: the reference is the text that was printed.
describe('cards that are photographed', () => {
  it('twelve of them: right or asked about, and hardly one wrong', async () => {
    const { measureCards } = await import('./cards/measured.ts');
    // Of some eighty things two may be wrong, and six more be missed, by chance where the sixty reach their aims.
    await measureCards(12, 20261202, { least: 91, wrong: 2.6 });
  });
});
