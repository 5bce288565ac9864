/** What stands on a packet that no shop has. */
export const nettleMeal = {
  name: 'Nettle meal',
  like: 'flax-meal',
  school: 'eu',
  protein: 25,
  fat: 5,
  carbohydrate: 12,
  fibre: 30,
  sugars: 2,
  salt: 0.1,
};
