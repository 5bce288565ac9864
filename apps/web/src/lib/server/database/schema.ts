import type { Generated } from 'kysely';

/** Bodies are JSON text: the core owns their shape, the store only keeps them. */
export interface Schema {
  formula: {
    id: string;
    name: string;
    style: string;
    version: number;
    created_at: string;
    updated_at: string;
    /** When it was taken off the shelf; null while it stands there. */
    off_shelf_at: string | null;
    /** What it is found by besides its name, lower case; empty where that is not written down yet. */
    words: Generated<string>;
  };
  /** A formula is a chain of versions; nothing is overwritten. */
  formula_version: {
    formula_id: string;
    version: number;
    body: string;
    saved_at: string;
    /** Name of the device that it was saved from; null where it is not known. */
    device: string | null;
    /** The sitting at a bench that it came from: one's own saves are never stale to oneself. */
    draft: string | null;
  };
  /** A save from a stale copy: refused, and kept; one for a sitting. */
  formula_aside: {
    id: string;
    formula_id: string;
    based_on: number;
    body: string;
    kept_at: string;
    device: string | null;
    draft: string | null;
  };
  bake: {
    id: string;
    /** Null, with its version, for a bread that has no formula here. */
    formula_id: string | null;
    formula_version: number | null;
    /** Of a bread that has no formula here. */
    name: string | null;
    method: string;
    started_at: string;
    finished_at: string | null;
    felt: number | null;
    outcome: string | null;
    lesson: string | null;
    given_up_at: string | null;
    /** The household's own day. */
    day: string;
    kitchen_id: string | null;
    /** As it was shown when it began. */
    forecast: string | null;
    /** 1 where its circumstances were not written down at the time. */
    assumed: Generated<number>;
    /** What of its circumstances the server had otherwise when it heard of it, as JSON; null where nothing. */
    otherwise: Generated<string | null>;
  };
  /** Kitchens that bakes were made in, each distinct one once; the id is made from the body. */
  kitchen: {
    id: string;
    body: string;
  };
  /** Ids are unique within a bake. `seq` keeps the order of arrival; the fold does not depend on it. */
  bake_event: {
    seq: Generated<number>;
    id: string;
    bake_id: string;
    /** By the clock of the device. */
    at: string;
    kind: string;
    data: string;
    /** What is added to that for the house’s time, ms; null where it is the house’s. */
    clock: Generated<number | null>;
  };
  bag: {
    id: string;
    name: string;
    ingredient: string;
    opened_on: string | null;
    /** What else is said of it, as JSON: grind, protein, moisture, price. */
    facts: Generated<string>;
  };
  /** What each finished bake took out of each bag. */
  bag_use: {
    bake_id: string;
    bag_id: string;
    grams: number;
    at: string;
  };
  /** A bake that is planned, with what was wished of it and what became of it so far, as JSON. */
  planned_bake: {
    id: string;
    formula_id: string;
    /** The bake that was made of it, once it has begun. */
    bake_id: string | null;
    /** How often it was changed: a change of an older one is refused. */
    version: number;
    body: string;
    made_at: string;
  };
  timer: {
    id: string;
    name: string;
    due_at: string;
    made_at: string;
  };
  /** What a starter was fed, and how it went, as JSON. */
  feeding: {
    id: string;
    bag_id: string;
    at: string;
    body: string;
  };
  /** A photo of a bake; the picture itself is a file beside the database, named after the id. */
  photo: {
    id: string;
    bake_id: string;
    step: string;
    at: string;
    width: number;
    height: number;
    /** Of the kept picture. */
    bytes: number;
    /** Of what was sent, so that the same photo sent twice is one. */
    digest: string;
  };
  /** A photo of a recipe; the picture itself is a file beside the database, named after the id. */
  page: {
    id: string;
    at: string;
    width: number;
    height: number;
    /** Of the kept picture. */
    bytes: number;
    /** Of what was sent, so that the same photo sent twice is one. */
    digest: string;
    /** What was read of it, as JSON. */
    rows: string;
  };
  own_ingredient: {
    id: string;
    label: string;
  };
  /** What the one belief is of all breads, and its number: what was worked out from an older one is stale. */
  belief: {
    id: number;
    revision: number;
    body: string;
  };
  /** What is believed of one bread, and by which revision of the belief it became so. */
  belief_bread: {
    key: string;
    revision: number;
    body: string;
  };
  setting: {
    key: string;
    value: string;
  };
  /** What was called of a practice dough; the seed makes the dough again. */
  practice: {
    id: string;
    at: string;
    lesson: string;
    seed: number;
    call: string;
  };
  /** The one row says how often the book was wanted learned again, and up to which of those it was. */
  learning: {
    id: number;
    wanted: number;
    done: number;
    /** Version of the dough model that it was learned by. */
    model: Generated<number>;
  };
}
