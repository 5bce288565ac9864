import type { Appliance, SteamId } from '../machine/appliance.ts';
import { figure, fromMemory } from '../figure/figure.ts';
import type { Form } from '../style/form.ts';
import { isTurned, type OvenStand } from '../style/nature.ts';
import { styles, type StyleId } from '../style/style.ts';

/** A fan oven is set so much lower. From memory. */
const fanLess = figure(20, '°C', 5, fromMemory('fan ovens, 20 °C less'));
/** Knobs have marks so far apart, °C. Own choice, no source. */
const knob = 5;

/** What an oven is set to so that a bread stands in a warmth. */
interface OvenSetting {
  readonly set: number;
  readonly says: string;
}

const round = (celsius: number): number => Math.round(celsius / knob) * knob;

/**
 * What this oven is set to for a warmth: less where it blows its air about, and less by what it is hotter than it
 * says.
 *
 * @param celsius wanted, of an oven without a fan
 * @example ovenSetting(230, {fan: true, offset: 10}).set // 200
 */
export function ovenSetting(
  celsius: number,
  { fan, offset = 0 }: Pick<Appliance, 'fan' | 'offset'> = {},
): OvenSetting {
  const set = round(celsius - (fan ? fanLess.value : 0) - offset);
  const why = [
    fan ? `${fanLess.value} °C less, as it has a fan` : '',
    offset === 0
      ? ''
      : `${Math.abs(offset)} °C ${offset > 0 ? 'less, as it is hotter' : 'more, as it is colder'} than it says`,
  ].filter(Boolean);
  return { set, says: why.join('; ') };
}

/** How a bread of a kind stands in the oven. */
interface OvenPlace {
  readonly rack: string;
  readonly steam?: string;
  readonly turn: boolean;
  /** What is done with a lid. */
  readonly lid?: string;
  /** Where it is no oven: how it is heated, and by what one sees that it is done. */
  readonly steamer?: { readonly heat: string; readonly done: string };
}

/** How a lean loaf gets its steam, by what the oven has. Common practice, no source. */
const leanSteams: Readonly<Record<SteamId, string>> = {
  tray: 'A tray of just boiled water on the floor of the oven for the first ten minutes; then out with it.',
  own: 'The oven’s own steam for the first ten minutes; then let it out.',
  none: 'Brush it with water first: this oven makes no steam.',
};

const middle = 'the middle rack';
/** How it stands, but for its turning, that goes by where. */
type Stand = Omit<OvenPlace, 'turn'>;
const underSteam = (steam: SteamId): Stand => ({ rack: middle, steam: leanSteams[steam] });

function byForm(form: Form = 'loaf', steam: SteamId): Stand {
  if (form === 'sticks') return underSteam(steam);
  return form === 'loaf' ? { rack: 'one notch below the middle' } : { rack: middle };
}

/**
 * Where a bread stands in the oven, and with how much steam.
 *
 * @param oven what it makes steam with; a tray of water where nobody said
 *
 * @example ovenPlace('pizza').rack // 'the second lowest rack'
 */
export function ovenPlace(
  style: StyleId,
  form?: Form,
  { steam = 'tray' }: Pick<Appliance, 'steam'> = {},
): OvenPlace {
  const { stands } = styles[style];
  const places: Readonly<Record<OvenStand, () => Stand>> = {
    pot: () => ({
      rack: 'the lowest rack, the pot heated on it',
      lid: 'Lid on for 20 minutes, then off until as dark as you like.',
    }),
    low: () => ({ rack: 'the second lowest rack' }),
    steam: () => underSteam(steam),
    form: () => byForm(form, steam),
    steamer: () => ({
      rack: 'a rack over boiling water, a cloth under the lid',
      steamer: {
        heat: 'Boil two fingers of water in a wide pot with a rack and a lid.',
        done: 'Done when they spring back under a finger.',
      },
    }),
  };
  return { ...places[stands](), turn: isTurned(stands) };
}

/** A way to make a warm place. */
interface WarmPlace {
  readonly id: string;
  readonly says: string;
}

/** An oven that goes no lower than this bakes a dough that is forgotten in it, °C. Own choice, no source. */
const cool = 55;

/**
 * How a warm place of 24 to 26 °C is made with what is there. Handbook section 12; common practice, no source.
 *
 * @example warmPlaces({lowest: 50}).map((w) => w.id) // ['oven', 'light', 'microwave']
 */
export function warmPlaces(oven: Pick<Appliance, 'lowest'> | undefined): WarmPlace[] {
  const lowest = oven?.lowest ?? 50;
  const heats =
    lowest <= cool
      ? `Oven at ${lowest} °C for five minutes, then off, its light on`
      : `Oven at ${lowest} °C, its lowest, for one minute, then off, its light on`;
  return [
    {
      id: 'oven',
      says: `${heats}: 24 to 26 °C inside. Feel with your hand before the dough goes in.`,
    },
    { id: 'light', says: 'Oven off, only its light on, the door shut: slower, and never too hot.' },
    {
      id: 'microwave',
      says: 'Microwave, off, with a cup of just boiled water beside the dough; fresh water after half an hour.',
    },
  ];
}
