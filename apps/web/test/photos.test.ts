import { expect } from 'chai';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import sharp from 'sharp';
import { TestServer } from './server.ts';

const formula = {
  name: 'Lockside tin loaf',
  stages: [{ lines: [{ ingredient: 'bread-flour', grams: 500 }] }],
};
/** A drawn loaf, with what a camera writes beside a picture. */
const drawn = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#b58a3a' } });

describe('photos of a bake', () => {
  const server = new TestServer();
  let bake = '';
  let jpeg: Buffer;
  before(async () => {
    await server.start();
    const { json } = await server.ask('POST', '/api/v1/formulas', formula);
    const begun = await server.ask('POST', '/api/v1/bakes', {
      formulaId: json['id'],
      formulaVersion: 1,
    });
    bake = begun.json['id'];
    jpeg = await drawn(3000, 1500)
      .withExif({
        IFD0: { Make: 'Camera', Copyright: 'somebody' },
        IFD3: { GPSLatitude: '52/1 0/1 0/1' },
      })
      .jpeg()
      .toBuffer();
  });
  after(() => server.end());

  const path = (photo: string, of = bake) => `${server.url}/api/v1/bakes/${of}/photos/${photo}`;
  const send = async (
    photo: string,
    body: BodyInit,
    { step = 'bake', of = bake, type = 'application/octet-stream' } = {},
  ) => {
    const answer = await fetch(`${path(photo, of)}?step=${step}`, {
      method: 'PUT',
      body,
      headers: { 'content-type': type },
    });
    return {
      status: answer.status,
      json: (await answer.json()) as { errors?: Array<{ what: string }> },
    };
  };
  const read = async (photo: string, size = '') => {
    const answer = await fetch(`${path(photo)}${size}`);
    return {
      status: answer.status,
      type: answer.headers.get('content-type'),
      bytes: Buffer.from(await answer.arrayBuffer()),
    };
  };
  const folder = () => join(dirname(server.file), 'photos');

  it('is kept beside the database, smaller, and with nothing in it but the picture', async () => {
    expect((await sharp(jpeg).metadata()).exif, 'what was sent had some').not.to.equal(undefined);
    expect((await send('one', new Uint8Array(jpeg))).status).to.equal(200);
    const kept = await read('one');
    expect(kept).to.include({ status: 200, type: 'image/jpeg' });
    const about = await sharp(kept.bytes).metadata();
    expect(about).to.include({ width: 1600, height: 800 });
    expect(about.exif).to.equal(undefined);
    expect(await sharp((await read('one', '?size=small')).bytes).metadata()).to.include({
      width: 320,
      height: 160,
    });
    expect(readdirSync(folder()).sort()).to.deep.equal(['one.jpg', 'one.small.jpg']);
    expect((statSync(join(folder(), 'one.jpg')).mode & 0o077).toString(8)).to.equal('0');
  });

  it('held upright by its camera it is kept upright', async () => {
    const turned = await drawn(400, 200)
      .withExif({ IFD0: { Orientation: '6' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    await send('turned', new Uint8Array(turned));
    expect(await sharp((await read('turned')).bytes).metadata()).to.include({
      width: 200,
      height: 400,
    });
  });

  it('the same sent twice is once; another under its name is refused', async () => {
    expect((await send('one', new Uint8Array(jpeg))).status).to.equal(200);
    const other = await drawn(30, 30).png().toBuffer();
    expect((await send('one', new Uint8Array(other))).status).to.equal(409);
    expect(await sharp((await read('one')).bytes).metadata()).to.include({ width: 1600 });
  });

  it('a text named .png, a script, half a picture and a drawing that runs code are refused by what they are', async () => {
    const text = await send('text', 'I am no picture', { type: 'image/png' });
    expect(text.status).to.equal(415);
    expect(text.json.errors![0]!.what).to.match(/no photo, whatever its name says/);
    expect(
      (
        await send('svg', '<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>', {
          type: 'image/svg+xml',
        })
      ).status,
    ).to.equal(415);
    expect((await send('half', new Uint8Array(jpeg.subarray(0, jpeg.length / 2)))).status).to.equal(
      422,
    );
    expect((await send('none', '')).status).to.equal(415);
    for (const gone of ['text', 'svg', 'half', 'none'])
      expect((await read(gone)).status).to.equal(404);
    expect(readdirSync(folder()).filter((f) => f.endsWith('.new'))).to.deep.equal([]);
  });

  it('larger than 15 MB it is refused in words, just below it is looked at', async () => {
    const big = new Uint8Array(15 * 1024 * 1024 + 1);
    const refused = await send('big', big);
    expect(refused.status).to.equal(413);
    expect(refused.json.errors![0]!.what).to.match(/larger than 15 MB/);
    expect((await send('big', big.subarray(1))).status).to.equal(415);
  });

  it('of a bake that is not there, and under a name that is a path, it is refused', async () => {
    expect((await send('x', new Uint8Array(jpeg), { of: 'nobody' })).status).to.equal(404);
    for (const name of ['..%2F..%2Fown', 'a%2Fb', '%00']) {
      const { status } = await fetch(`${path(name)}?step=bake`, {
        method: 'PUT',
        body: new Uint8Array(jpeg),
      });
      expect(status, name).to.be.oneOf([400, 404]);
    }
    expect(
      (await fetch(`${path('y')}`, { method: 'PUT', body: new Uint8Array(jpeg) })).status,
      'no step',
    ).to.equal(400);
  });

  it('taken away it is gone from the disc too, and twice is once', async () => {
    for (let i = 0; i < 2; i += 1)
      expect((await fetch(path('one'), { method: 'DELETE' })).status).to.equal(200);
    expect((await read('one')).status).to.equal(404);
    expect(existsSync(join(folder(), 'one.jpg'))).to.equal(false);
    expect(existsSync(join(folder(), 'one.small.jpg'))).to.equal(false);
  });
});
