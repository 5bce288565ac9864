import { expect } from 'chai';
import { createHash } from 'node:crypto';
import { deflateSync, crc32 } from 'node:zlib';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import type { PageRow } from '@tender-crumb/core/picture';
import { useFonts, written } from './cards/fonts.ts';
import { TestServer } from './server.ts';

useFonts();

interface Answer {
  readonly status: number;
  readonly json: {
    readonly id?: string;
    readonly width?: number;
    readonly height?: number;
    readonly rows?: readonly PageRow[];
    readonly errors?: ReadonlyArray<{ readonly what: string }>;
    readonly gone?: boolean;
    readonly doing?: string;
  };
}

const rows = [
  'Towpath loaf',
  '',
  '500 g strong bread flour',
  '320 g warm water',
  '10 g fine salt',
  '7 g instant yeast',
  '',
  'Bake at 220 °C for 35 minutes.',
];

/** A card with rows on it, as PNG. */
async function card(
  of: readonly string[] = rows,
  font = 'DejaVu Sans',
  size = 26,
): Promise<Buffer> {
  const { default: sharp } = await import('sharp');
  const text = of.map((row, i) => `<text x="60" y="${80 + i * 44}">${row}</text>`).join('');
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="${140 + of.length * 44}"><rect width="100%" height="100%" fill="#f6efdf"/><g font-family="${font}" font-size="${size}" fill="#222">${text}</g></svg>`;
  return sharp(Buffer.from(svg)).png().toBuffer();
}

/** A PNG of so many pixels, all black, of which hardly a byte is written. */
function bomb(width: number, height: number): Buffer {
  const chunk = (type: string, data: Buffer): Buffer => {
    const body = Buffer.concat([Buffer.from(type), data]);
    const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
    length.writeUInt32BE(data.length);
    sum.writeUInt32BE(crc32(body));
    return Buffer.concat([length, body, sum]);
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head[8] = 1;
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(Buffer.alloc(height * (Math.ceil(width / 8) + 1)))),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

/** A PDF as it is drawn. */
function pdf(
  draw: (doc: PDFKit.PDFDocument) => void,
  options: PDFKit.PDFDocumentOptions = {},
): Promise<Buffer> {
  const doc = new PDFDocument({ margin: 50, ...options });
  const chunks: Buffer[] = [];
  doc.on('data', (chunk: Buffer) => chunks.push(chunk));
  const made = new Promise<Buffer>((done) => doc.on('end', () => done(Buffer.concat(chunks))));
  draw(doc);
  doc.end();
  return made;
}

describe('a page that is photographed', () => {
  const server = new TestServer();
  before(() => server.start());
  after(() => server.end());

  const path = (id: string) => `${server.url}/api/v1/pages/${id}`;
  const put = async (id: string, body: Uint8Array, signal?: AbortSignal): Promise<Answer> => {
    const answer = await fetch(path(id), {
      method: 'PUT',
      headers: { 'content-type': 'application/octet-stream' },
      body: body as Uint8Array<ArrayBuffer>,
      ...(signal ? { signal } : {}),
    });
    return { status: answer.status, json: (await answer.json()) as Answer['json'] };
  };
  const said = ({ json }: Answer): string => json.errors?.[0]?.what ?? '';
  const texts = ({ json }: Answer): string[] => json.rows!.map((r) => r.text).filter(Boolean);

  it('is read row by row, each with its place; the same sent again is read once', async () => {
    const picture = await card();
    const read = await put('first', picture);
    expect(read.status, JSON.stringify(read.json)).to.equal(200);
    expect(texts(read)).to.deep.equal(rows.filter(Boolean));
    const flour = read.json.rows!.find((r) => r.text.startsWith('500'))!;
    // Where it was drawn: its foot at 168, its letters some 20 high.
    expect(flour.box.x0).to.be.closeTo(60, 8);
    expect(flour.box.y1).to.be.closeTo(168, 14);
    const again = await put('first', picture);
    expect(again.json).to.deep.equal(read.json);
    expect((await put('first', await card(['Another']))).status).to.equal(409);
  });

  it('its picture is there, and each row as a strip of it', async () => {
    const { default: sharp } = await import('sharp');
    const whole = await fetch(path('first'));
    expect(whole.headers.get('content-type')).to.equal('image/jpeg');
    const size = await sharp(Buffer.from(await whole.arrayBuffer())).metadata();
    expect(size.width).to.equal(900);
    const strip = await fetch(`${path('first')}/strip?x0=60&y0=140&x1=400&y1=170`);
    const part = await sharp(Buffer.from(await strip.arrayBuffer())).metadata();
    expect(part.width).to.be.within(340, 380);
    expect(part.height).to.be.within(30, 60);
    // Beyond its edges there is nothing, and no fault.
    expect((await fetch(`${path('first')}/strip?x0=-50&y0=0&x1=9000&y1=9000`)).status).to.equal(
      200,
    );
    expect((await fetch(`${path('first')}/strip?x0=5000&y0=5000&x1=5001&y1=5001`)).status).to.equal(
      200,
    );
    expect((await fetch(`${path('first')}/strip?x0=a&y0=0&x1=1&y1=1`)).status).to.equal(400);
    expect((await fetch(`${path('none')}/strip?x0=0&y0=0&x1=1&y1=1`)).status).to.equal(404);
    expect((await fetch(path('none'))).status).to.equal(404);
  });

  it('one that stands with a formula stays, in its versions too; one that does not may go', async () => {
    const loose = await put('loose', await card(['Loose leaf', '300 g rye flour']));
    expect(loose.status).to.equal(200);
    const { json } = await server.ask('POST', '/api/v1/formulas', {
      name: 'From a card',
      pages: ['first'],
      stages: [{ lines: [{ ingredient: 'bread-flour', grams: 500 }] }],
    });
    const { formula } = (await server.ask('GET', `/api/v1/formulas/${json['id']}`)).json;
    expect(formula.pages).to.deep.equal(['first']);
    const { pages: _gone, ...without } = formula;
    void _gone;
    await server.ask('PUT', `/api/v1/formulas/${json['id']}`, { version: 1, formula: without });
    const drop = async (id: string) =>
      ((await (await fetch(path(id), { method: 'DELETE' })).json()) as Answer['json']).gone;
    expect(await drop('first')).to.equal(false);
    expect((await fetch(path('first'))).status).to.equal(200);
    expect(await drop('loose')).to.equal(true);
    expect((await fetch(path('loose'))).status).to.equal(404);
    expect(existsSync(join(server.folder, 'own', 'photos', 'loose.jpg'))).to.equal(false);
  });

  it('what is no page is said to be none, in words', async () => {
    const { default: sharp } = await import('sharp');
    expect(said(await put('b1', Buffer.from('500 g flour, as a text')))).to.match(/is a text/);
    expect(said(await put('b2', Buffer.from([1, 2, 3, 4])))).to.match(/no photo and no PDF/);
    expect(said(await put('b3', Buffer.from('\0\0\0\x18ftypheic\0\0\0\0mif1heic')))).to.match(
      /HEIC/,
    );
    expect(said(await put('b4', bomb(20_000, 10_000)))).to.match(/64 megapixels/);
    expect(said(await put('b5', (await card()).subarray(0, 2000)))).to.match(/broken/);
    expect(said(await put('b6', new Uint8Array()))).to.match(/no photo/);
    expect((await put('no id!', await card())).status).to.be.oneOf([400, 404]);
    const blank = await put(
      'b7',
      await sharp({ create: { width: 900, height: 600, channels: 3, background: '#fff' } })
        .jpeg()
        .toBuffer(),
    );
    expect(blank.status).to.equal(200);
    expect(texts(blank)).to.deep.equal([]);
  });

  it('a hand that cannot be read, and a picture of no recipe, are told from a page', async () => {
    const { isReadable } = await import('@tender-crumb/core/picture');
    const { default: sharp } = await import('sharp');
    const readable = async (id: string, picture: Buffer) =>
      isReadable((await put(id, picture)).json.rows!);
    expect(await readable('clear', await card(rows, 'Lora'))).to.equal(true);
    // A hand in a hurry: loops that are no letters.
    const scrawl = Array.from({ length: 7 }, (_, row) => {
      const loops = Array.from({ length: 60 }, (_, i) => {
        const high = 8 + 9 * Math.abs(Math.sin(3.1 * i + row));
        return `q 9 ${-high} 3 ${(i % 3) - 1} q -8 ${high / 2} 7 ${1 - (i % 3)}`;
      }).join(' ');
      return `<path d="M 60 ${90 + 60 * row} ${loops}" fill="none" stroke="#225" stroke-width="2"/>`;
    }).join('');
    const hand = await sharp(
      Buffer.from(
        `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="560"><rect width="100%" height="100%" fill="#f6efdf"/>${scrawl}</svg>`,
      ),
    )
      .png()
      .toBuffer();
    expect(await readable('hand', hand)).to.equal(false);
    // A neat one may be read: that is no fault.
    expect(await readable('neat', await card(rows, written, 34))).to.equal(true);
    // Something round with two ears, on a carpet.
    const fur = Array.from(
      { length: 900 },
      (_, i) =>
        `<line x1="${(i * 37) % 900}" y1="${(i * 53) % 700}" x2="${((i * 37) % 900) + 20}" y2="${((i * 53) % 700) + 30 * Math.sin(i)}" stroke="#${(i % 2) + 3}3${(i % 5) + 2}" stroke-width="3"/>`,
    ).join('');
    const cat = await sharp(
      Buffer.from(
        `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="700"><rect width="100%" height="100%" fill="#998877"/>${fur}<circle cx="450" cy="400" r="180" fill="#222"/><path d="M300 300 L330 150 L430 250Z M600 300 L570 150 L470 250Z" fill="#222"/></svg>`,
      ),
    )
      .jpeg()
      .toBuffer();
    expect(await readable('cat', cat)).to.equal(false);
  });

  it('ten at once are read one after another; who stops one has it not, and the others go on', async () => {
    const sheets = await Promise.all(
      Array.from({ length: 10 }, (_, i) => card(['Ten at once', `${300 + i} g rye flour`])),
    );
    const all = sheets.map((sheet, i) => put(`ten-${i}`, sheet));
    // The last has not begun.
    let doing = '';
    while (doing === '') {
      const answer = await fetch(`${path('ten-9')}/reading`);
      doing = ((await answer.json()) as Answer['json']).doing ?? '';
    }
    await fetch(path('ten-9'), { method: 'DELETE' });
    const answers = await Promise.all(all);
    answers.slice(0, 9).forEach((answer, i) => {
      expect(answer.status, JSON.stringify(answer.json)).to.equal(200);
      expect(texts(answer)[1]).to.equal(`${300 + i} g rye flour`);
    });
    expect(answers[9]!.status).to.equal(409);
    expect(said(answers[9]!)).to.match(/stopped/);
  });

  it('a browser that is closed in the middle leaves nothing behind', async () => {
    const closed = new AbortController();
    const sending = put('closed', await card(), closed.signal).catch(() => undefined);
    await new Promise((r) => setTimeout(r, 400));
    closed.abort();
    await sending;
    for (;;) {
      const answer = await fetch(`${path('closed')}/reading`);
      if (((await answer.json()) as Answer['json']).doing === undefined) break;
      await new Promise((r) => setTimeout(r, 100));
    }
    expect(existsSync(join(server.folder, 'own', 'incoming', 'page-closed'))).to.equal(false);
    // And what comes next is read.
    expect((await put('next', await card())).status).to.equal(200);
  });

  describe('a PDF', () => {
    const recipe = (doc: PDFKit.PDFDocument) => {
      doc.fontSize(18).text('Booklet loaf').moveDown().fontSize(11);
      for (const row of rows.slice(2)) doc.text(row || ' ');
    };

    it('its text comes row by row, two columns one after another', async () => {
      const plain = await put('p1', await pdf(recipe));
      expect(plain.status, JSON.stringify(plain.json)).to.equal(200);
      expect(texts(plain)).to.deep.equal(['Booklet loaf', ...rows.slice(2).filter(Boolean)]);
      expect(plain.json.id).to.equal(undefined);
      const method = ['Mix it all.', 'Knead for ten minutes.', 'Leave it for an hour.', 'Bake it.'];
      const columns = await put(
        'p2',
        await pdf((doc) => {
          rows.slice(2, 6).forEach((row, i) => doc.text(row, 50, 100 + 20 * i));
          method.forEach((row, i) => doc.text(row, 330, 100 + 20 * i));
        }),
      );
      expect(texts(columns)).to.deep.equal([...rows.slice(2, 6), ...method]);
    });

    it('without text, with a password, of 400 pages, damaged: in words', async () => {
      const scan = await card();
      expect(
        said(await put('p3', await pdf((doc) => doc.image(scan, 50, 50, { width: 400 })))),
      ).to.match(/no text in this PDF/);
      expect(said(await put('p4', await pdf(recipe, { userPassword: 'secret' })))).to.match(
        /password/,
      );
      const thick = await pdf((doc) => {
        for (let i = 1; i < 400; i += 1) doc.text('500 g flour').addPage();
      });
      expect(said(await put('p5', thick))).to.match(/400 pages/);
      expect(said(await put('p6', Buffer.from('%PDF-1.7 and nothing else')))).to.match(/damaged/);
    });
  });

  it('goes out with the household’s file, and comes in with it', async () => {
    const before = Buffer.from(await (await fetch(path('first'))).arrayBuffer());
    const zip = Buffer.from(await (await fetch(`${server.url}/api/v1/kitchen`)).arrayBuffer());
    const other = new TestServer();
    await other.start();
    try {
      const incoming = `${other.url}/api/v1/kitchen/incoming/pages`;
      await fetch(`${incoming}?at=0`, {
        method: 'PUT',
        headers: { 'content-type': 'application/octet-stream' },
        body: zip,
      });
      const looked = await other.ask('GET', '/api/v1/kitchen/incoming/pages');
      expect(looked.status, JSON.stringify(looked.json)).to.equal(200);
      const taken = await other.ask('POST', '/api/v1/kitchen/incoming/pages', { stays: 'ours' });
      expect(taken.status, JSON.stringify(taken.json)).to.equal(200);
      const came = Buffer.from(
        await (await fetch(`${other.url}/api/v1/pages/first`)).arrayBuffer(),
      );
      const digest = (of: Buffer) => createHash('sha256').update(of).digest('hex');
      expect(digest(came)).to.equal(digest(before));
    } finally {
      await other.end();
    }
  });
});
