import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { request } from 'node:http';
import { TestServer } from './server.ts';

/** docs/api.md against the server that it speaks of: its examples are sent, and what comes back stands in it. */
const page = readFileSync('docs/api.md', 'utf8');
const sections = new Map(
  page
    .split(/^## /m)
    .slice(1)
    .map((text) => [text.slice(0, text.indexOf('\n')).trim(), text] as const),
);
const formatSection = sections.get('The formula format')!;
const blocks = (language: string) =>
  [...page.matchAll(new RegExp(`\`\`\`${language}\\n([^]*?)\`\`\``, 'g'))].map(([, text]) => text!);

/** Names of what is in an answer, however deep; of what is kept by id or name, not the ids. */
function namesIn(of: unknown, byName: ReadonlySet<string>, into = new Set<string>()): Set<string> {
  if (Array.isArray(of)) for (const one of of) namesIn(one, byName, into);
  else if (typeof of === 'object' && of !== null)
    for (const [key, value] of Object.entries(of)) {
      into.add(key);
      if (whole.has(key)) continue;
      if (byName.has(key) && !Array.isArray(value)) {
        if (typeof value === 'object' && value !== null)
          for (const one of Object.values(value)) namesIn(one, byName, into);
      } else namesIn(value, byName, into);
    }
  return into;
}

/** What is kept under ids or names: in a list it is as any other. */
const kept = new Set(
  'figures formulas versions devices facts locks ready by cups each words prices bags feedings shop'.split(
    ' ',
  ),
);
/** What is handed through as the program keeps it: the page says so, and not what is in it. */
const whole: ReadonlySet<string> = new Set(['belief', 'lesson', 'data', 'machine', 'own']);

/** Whether all that stands in one stands in another: what was left out there may be filled in. */
const holds = (of: unknown, what: unknown): boolean =>
  typeof what === 'object' && what !== null
    ? typeof of === 'object' &&
      of !== null &&
      Object.entries(what).every(([key, value]) =>
        holds((of as Record<string, unknown>)[key], value),
      )
    : of === what;

const says = (text: string, name: string): boolean =>
  new RegExp(`(?<![\\w-])${name}(?![\\w-])`).test(text);

describe('the API as its page has it', () => {
  const empty = new TestServer();
  const demo = new TestServer();
  before(async function () {
    this.timeout(120_000);
    await Promise.all([empty.start(), demo.start({ TENDER_CRUMB_DEMO: '1' })]);
  });
  after(() => Promise.all([empty.end(), demo.end()]));

  it('its formula is taken in an empty kitchen, evaluated and kept', async () => {
    const [example] = blocks('json').map((text) => JSON.parse(text) as object);
    const evaluated = await empty.ask('POST', '/api/v1/evaluate', example);
    expect(evaluated.status, JSON.stringify(evaluated.json)).to.equal(200);
    const made = await empty.ask('POST', '/api/v1/formulas', example);
    expect(made.status, JSON.stringify(made.json)).to.equal(201);
    const { json } = await empty.ask('GET', `/api/v1/formulas/${made.json['id']}`);
    expect(holds(json['formula'], example)).to.equal(true);
    const strange = [...namesIn(json['formula'], kept)].filter((n) => !says(formatSection, n));
    expect(strange).to.deep.equal([]);
  });

  it('each of its calls is answered, by what stands there', async () => {
    const calls = blocks('sh');
    expect(calls).to.have.length(3);
    for (const call of calls) {
      const path = /http:\/\/127\.0\.0\.1:4310(\/[^\s']*)/.exec(call)![1]!;
      const type = /content-type: ([\w/]+)/.exec(call)![1]!;
      const body =
        /-d '([^]*?)'/.exec(call)?.[1] ?? /\$'([^]*?)'/.exec(call)![1]!.replace(/\\n/g, '\n');
      const { status, json } = await demo.ask('POST', path, body, { 'content-type': type });
      expect(status, `${path}: ${JSON.stringify(json)}`).to.equal(200);
      const name = path.replace(/\?.*/, '').split('/').at(-1)!;
      const title = { evaluate: 'POST /api/v1/evaluate', leaven: 'The rise', plan: 'The plan' }[
        name
      ]!;
      const text = sections.get(title)! + formatSection;
      expect(
        [...namesIn(json, kept)].filter((n) => !says(text, n)),
        path,
      ).to.deep.equal([]);
    }
  });

  it('what is asked for holds nothing that the page does not name', async () => {
    const asked = [
      'formulas?limit=50',
      'bakes?limit=20',
      'plans',
      'timers',
      'bags',
      'ingredients',
      'household',
      'devices',
      'learning',
      'kept',
      'kitchen/backups',
    ].map((path) => `/api/v1/${path}`);
    const unnamed: string[] = [];
    for (const path of asked) {
      const { status, json } = await demo.ask('GET', path);
      expect(status, path).to.equal(200);
      for (const name of namesIn(json, kept))
        if (!says(page, name)) unnamed.push(`${path} ${name}`);
    }
    expect(unnamed).to.deep.equal([]);
  });

  it('a bag that is not there is refused at its field, in an evaluation too', async () => {
    const formula = {
      stages: [{ lines: [{ ingredient: 'bread-flour', grams: 500, bag: 'somebody-else' }] }],
    };
    for (const path of ['/api/v1/evaluate', '/api/v1/formulas']) {
      const { status, json } = await empty.ask('POST', path, formula);
      expect(status, path).to.equal(422);
      expect(json['errors'][0].where, path).to.equal('body.stages[0].lines[0].bag');
    }
    const strange = { stages: [{ lines: [{ ingredient: 'moon-dust', grams: 5 }] }] };
    const { json } = await empty.ask('POST', '/api/v1/evaluate', strange);
    expect(json['errors'][0].where).to.equal('body.stages[0].lines[0].ingredient');
  });

  it('every refusal is a problem: no such way, no such deed, another’s name', async () => {
    const problem = 'application/problem+json; charset=utf-8';
    const nowhere = await empty.ask('GET', '/api/v1/nowhere');
    expect([nowhere.status, nowhere.type]).to.deep.equal([404, problem]);
    expect(nowhere.json['errors'][0].where).to.equal('path');
    const deed = await empty.ask('DELETE', '/api/v1/learning');
    expect([deed.status, deed.type]).to.deep.equal([405, problem]);
    const other = await new Promise<{ status: number; type: string; text: string }>((done) => {
      const { hostname, port } = new URL(empty.url);
      request(
        { hostname, port, path: '/api/v1/bags', headers: { host: 'elsewhere.example' } },
        (answer) => {
          let text = '';
          answer.on('data', (chunk: Buffer) => (text += chunk.toString()));
          answer.on('end', () =>
            done({ status: answer.statusCode!, type: answer.headers['content-type'] ?? '', text }),
          );
        },
      ).end();
    });
    expect([other.status, other.type]).to.deep.equal([421, problem]);
    expect(JSON.parse(other.text)).to.include({ status: 421, type: 'about:blank' });
  });
});
