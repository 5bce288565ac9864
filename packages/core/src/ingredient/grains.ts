import type { Ingredient } from './ingredient.ts';
import { row } from './row.ts';

const wheat = ['wheat', 'gluten'] as const;
const gluten = ['gluten'] as const;

/**
 * Grains and seeds by the state that they go in: dry they drink, soaked and cooked they bring their water
 * along and drink no more. From memory, and wide.
 */
export const grains: readonly Ingredient[] = [
  row(
    'steel-cut-oats',
    'steel-cut oats',
    'steel cut oats, pinhead oats, oat groats, irish oats, coarse oatmeal',
    'grain',
    [10.8, 13.2, 6.5, 67.7, 10.1, 1, 6],
    { cup: 176, absorption: [0.6, 0.3], slow: true, allergens: gluten },
  ),
  row(
    'quick-oats',
    'quick oats',
    'instant oats, quick cooking oats, oat flakes quick, fine oats, fine oatmeal, medium oatmeal',
    'grain',
    [10.8, 13.2, 6.5, 67.7, 10.1, 1, 6],
    { cup: 81, absorption: [0.9, 0.3], slow: true, allergens: gluten },
  ),
  row(
    'porridge',
    'cooked oats',
    'porridge, cooked oatmeal, cooked oat porridge, oat porridge, cooked porridge, oatmeal porridge, cooked rolled oats, leftover porridge',
    'liquid',
    [84, 2.5, 1.5, 12, 1.7, 0.3, 4],
    { cup: 234, absorption: [0.3, 0.15], allergens: gluten },
  ),
  row(
    'soaked-oats',
    'soaked oats',
    'oats soaked, soaked rolled oats',
    'liquid',
    [60, 6, 3, 30, 4.5, 0.4, 3],
    { cup: 230, absorption: [0.15, 0.15], allergens: gluten },
  ),
  row(
    'wheat-berries',
    'wheat berries',
    'wheat kernels, wheat grains, whole wheat berries, whole wheat kernels, spelt berries, rye berries, rye kernels, rye grains, spelt kernels',
    'grain',
    [11, 13, 2, 72, 12, 0.5, 3],
    { cup: 190, absorption: [0.3, 0.2], slow: true, allergens: wheat },
  ),
  row(
    'cooked-grain',
    'cooked grain',
    'cooked wheat berries, cooked rye berries, soaked rye berries, soaked wheat berries, cooked spelt berries, cooked barley, cooked rye, boiled rye berries, cooked rye kernels, soaked rye kernels, soaked grain, cooked farro, cooked bulgur, soaked bulgur',
    'addIn',
    [60, 5, 1, 32, 5, 0.3, 2],
    { cup: 170, allergens: wheat },
  ),
  row(
    'cracked-wheat',
    'cracked wheat',
    'cracked rye, rye chops, chopped rye, bulgur, bulgur wheat, bulghur, kibbled wheat, kibbled rye, coarse rye meal, rye meal coarse, cracked grain, multigrain cereal, multi grain cereal, 7 grain cereal, seven grain cereal, mixed grain cereal, wheat flakes, rye flakes, spelt flakes, barley flakes, malted wheat flakes',
    'grain',
    [10, 12, 1.8, 74, 13, 0.5, 10],
    { cup: 140, absorption: [0.7, 0.3], slow: true, allergens: wheat },
  ),
  row(
    'millet',
    'millet',
    'whole millet, raw millet, millet grain',
    'grain',
    [8.7, 11, 4.2, 72.9, 8.5, 1, 5],
    { cup: 200, absorption: [0.2, 0.2], slow: true },
  ),
  row(
    'quinoa-cooked',
    'cooked quinoa',
    'cooked millet, cooked buckwheat, cooked amaranth',
    'addIn',
    [71.6, 4.4, 1.9, 21.3, 2.8, 0.9, 7],
    { cup: 185 },
  ),
  row(
    'quinoa',
    'quinoa',
    'raw quinoa, buckwheat groats, buckwheat kernels',
    'grain',
    [13.3, 14.1, 6.1, 64.2, 7, 2, 5],
    { cup: 170, absorption: [0.4, 0.3], slow: true },
  ),
  row(
    'cooked-rice',
    'cooked rice',
    'boiled rice, cooked white rice, cooked brown rice, leftover rice',
    'addIn',
    [68.4, 2.7, 0.3, 28.2, 0.4, 0.1, 1],
    { cup: 158 },
  ),
  row(
    'cooked-polenta',
    'cooked polenta',
    'cooked cornmeal, polenta cooked, cornmeal mush, cooked semolina',
    'liquid',
    [84, 1.5, 0.5, 13.5, 1, 0.3, 3],
    { cup: 240, absorption: [0.3, 0.15] },
  ),
  row(
    'linseed-whole',
    'whole linseed',
    'linseed, flax, flaxseed, flax seed, whole flaxseed, whole flax seed, whole flax seeds, flax seeds whole, whole flaxseeds, golden linseeds, brown linseeds, golden linseed, brown linseed',
    'grain',
    [7, 18.3, 42.2, 28.9, 27.3, 1.6, 30],
    { cup: 168, absorption: [0.2, 0.2], slow: true },
  ),
  row(
    'linseed-soaked',
    'soaked linseed',
    'soaked flaxseed, soaked flax seeds, soaked linseeds, soaked chia, soaked chia seeds, chia gel, flax gel, soaked seeds',
    'addIn',
    [60, 8, 18, 12, 11, 0.7, 13],
    { cup: 230 },
  ),
  row(
    'tangzhong',
    'tangzhong',
    'water roux, flour roux, yudane, roux, scalded flour, cooked flour paste',
    'liquid',
    [80, 2.2, 0.3, 16, 0.5, 0.1, 1],
    { cup: 240, absorption: [0.4, 0.15], allergens: wheat },
  ),
  row(
    'breadcrumbs',
    'dry breadcrumbs',
    'breadcrumbs, bread crumbs, dried breadcrumbs, dried bread, stale bread, old bread, toasted breadcrumbs, altus',
    'grain',
    [6.5, 13, 5, 72, 4.5, 6, 700],
    { cup: 108, absorption: [1.2, 0.5], allergens: wheat },
  ),
  row(
    'barley-malt',
    'malt flour',
    'malt, malted barley, malted barley flour, diastatic malt flour, rye malt, red rye malt, malted rye flour, non diastatic malt powder, barley malt flour, barley malt powder',
    'powder',
    [8, 10, 1.8, 78, 7, 8, 11],
    { cup: 130, absorption: [0.4, 0.2], allergens: gluten },
  ),
];
