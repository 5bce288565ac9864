/** Loaded before the server: for it the clock stands, so that what pages show is the same in each run. */
const at = Date.parse(process.env.FROZEN_AT ?? '');
if (Number.isNaN(at)) throw new Error('FROZEN_AT is no moment.');

globalThis.Date = class extends Date {
  constructor(...given) {
    if (given.length === 0) super(at);
    else super(...given);
  }
  static now() {
    return at;
  }
};
