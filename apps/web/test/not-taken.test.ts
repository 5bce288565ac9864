import { expect } from 'chai';
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { TestServer } from './server.ts';
import { filled, out, send, take, sealed, inside } from './archive-file.ts';

describe('files that are not taken', () => {
  const server = new TestServer();
  let good: Record<string, Uint8Array>;
  before(async () => {
    await server.start();
    await filled(server);
    good = unzipSync(await out(server));
  });
  after(() => server.end());

  const refused = async (file: Uint8Array, words: RegExp) => {
    const before = inside(await out(server));
    const { status, json } = await send(server, file, 'bad');
    expect(status).to.equal(422);
    expect(JSON.stringify(json)).to.match(words);
    expect((await take(server, 'theirs', 'bad')).status).to.equal(404);
    expect(existsSync(join(server.folder, 'own', 'incoming', 'bad'))).to.equal(false);
    expect(inside(await out(server))).to.deep.equal(before);
  };

  it('a text, an empty file, somebody else’s zip', async () => {
    await refused(strToU8('not a zip at all'), /no zip|not belong|empty/);
    await refused(new Uint8Array(0), /no zip|empty/);
    await refused(zipSync({ 'holiday.txt': strToU8('sun') }), /does not belong/);
    await refused(zipSync({ 'bakes.csv': strToU8('a,b') }), /not the file of a household/);
  });

  it('half a file', async () => {
    const whole = await out(server);
    await refused(whole.slice(0, Math.floor(whole.length / 2)), /half a file|damaged|not the file/);
  });

  it('a path that leads out of its folder', async () => {
    await refused(
      zipSync({ ...good, '../../own/tender-crumb.db': strToU8('x') } as Zippable),
      /does not belong|no zip file/,
    );
    await refused(
      zipSync({ ...good, 'photos/../../evil.jpg': strToU8('x') } as Zippable),
      /does not belong|no zip file/,
    );
    await refused(
      zipSync({ ...good, '/etc/passwd': strToU8('x') } as Zippable),
      /does not belong|no zip file/,
    );
    expect(readdirSync(server.folder)).to.deep.equal(['own']);
  });

  it('a bomb: little that would become much', async () => {
    const bomb = zipSync({ ...good, 'lines.csv': new Uint8Array(80 * 1024 * 1024) } as Zippable, {
      level: 9,
    });
    expect(bomb.length).to.be.lessThan(400_000);
    await refused(bomb, /more than any household/);
  });

  it('a later format, a row that is none, a formula that is none', async () => {
    const manifest = {
      ...good,
      'tender-crumb.json': strToU8('{"program":"tender-crumb","format":3}'),
    };
    await refused(zipSync(manifest as Zippable), /newer version/);
    const with_ = (table: string, text: string) =>
      sealed({ ...good, [`tables/${table}.jsonl`]: strToU8(text) });
    await refused(with_('bag', '{"id":"x"'), /bag\.jsonl, line 1: it cannot be read/);
    await refused(with_('bag', '[]\n'), /it is no row/);
    await refused(
      with_('bag', '{"name":"no id","ingredient":"x","facts":"{}"}'),
      /bag\.jsonl, line 1, id: /,
    );
    await refused(
      with_('timer', '{"id":{"$ne":1},"name":"t"}'),
      /timer\.jsonl, line 1, id: is no text and no number/,
    );
    // A day that no page could show; a thirtieth of February, which the first versions took, comes.
    const opened = (day: string) =>
      with_(
        'bag',
        `{"id":"x","name":"Sack","ingredient":"bread-flour","facts":"{}","opened_on":"${day}"}\n`,
      );
    await refused(opened('2026-13-45'), /bag\.jsonl, line 1, opened_on/);
    expect((await send(server, opened('2026-02-30'))).status).to.equal(200);
    await refused(
      with_(
        'formula_version',
        '{"formula_id":"a","version":1,"body":"{\\"stages\\":7}","saved_at":"x"}',
      ),
      /formula_version\.jsonl, line 1, (?:body|saved_at)/,
    );
  });

  it('a photo that is a script stays out, the rest comes', async () => {
    const entries = {
      ...good,
      'photos/evil.jpg': strToU8('<script>alert(1)</script>'),
      'photos/evil.small.jpg': strToU8('<script>alert(1)</script>'),
      'tables/photo.jsonl': strToU8(
        `${strFromU8(good['tables/photo.jsonl']!)}${JSON.stringify({
          ...(JSON.parse(strFromU8(good['tables/photo.jsonl']!)) as object),
          id: 'evil',
        })}\n`,
      ),
    };
    expect((await send(server, sealed(entries), 'script')).status).to.equal(200);
    expect((await take(server, 'ours', 'script')).json['came']).to.equal(0);
    expect(existsSync(join(server.folder, 'own', 'photos', 'evil.jpg'))).to.equal(false);
  });

  it('a name that is no name of a file', async () => {
    const answer = await fetch(`${server.url}/api/v1/kitchen/incoming/..%2F..%2Fx?at=0`, {
      method: 'PUT',
      body: 'x',
    });
    expect(answer.status).to.equal(400);
  });
});
