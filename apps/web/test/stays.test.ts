import { expect } from 'chai';
import { stays } from '../src/lib/away/stays.ts';

const here = () => new URL('http://house/bake/loaf?x=1');
const data = (page: string, wanted: string) =>
  `http://house${page}/__data.json?x-sveltekit-invalidated=${wanted}`;
const dead: typeof fetch = () => Promise.reject(new TypeError('refused'));

function asked(real: typeof fetch, address: string) {
  let missed = 0;
  const answer = stays(real, here, () => (missed += 1))(address);
  return { answer, missed: () => missed };
}

describe('a page whose server is away', () => {
  it('keeps each part of itself as it was, so many as were asked for', async () => {
    const { answer, missed } = asked(dead, data('/bake/loaf', '101'));
    expect(await (await answer).text()).to.equal(
      '{"type":"data","nodes":[{"type":"skip"},{"type":"skip"},{"type":"skip"}]}\n',
    );
    expect(missed()).to.equal(1);
  });

  it('is come back to from a page that cannot be had', async () => {
    const { answer, missed } = asked(dead, data('/pantry', '11'));
    expect(await (await answer).json()).to.deep.equal({
      type: 'redirect',
      location: '/bake/loaf?x=1',
    });
    expect(missed()).to.equal(1);
  });

  it('stays where the server dies in the middle of its answer, and where it cannot serve', async () => {
    const cut = () =>
      Promise.resolve(
        new Response(
          new ReadableStream({
            start(controller) {
              controller.enqueue(new TextEncoder().encode('{"type":"da'));
              controller.error(new TypeError('cut'));
            },
          }),
        ),
      );
    for (const real of [cut, () => Promise.resolve(new Response('no', { status: 503 }))]) {
      const { answer, missed } = asked(real, data('/bake/loaf', '1'));
      expect(await (await answer).json()).to.deep.equal({
        type: 'data',
        nodes: [{ type: 'skip' }],
      });
      expect(missed()).to.equal(1);
    }
  });

  it('hands on what the server says below 500, and says where it was only kept', async () => {
    for (const [status, headers, times] of [
      [200, {}, 0],
      [404, {}, 0],
      [499, {}, 0],
      [200, { 'x-kept': 'yes' }, 1],
    ] as const) {
      const real = () => Promise.resolve(new Response('{"a":1}\n', { status, headers }));
      const { answer, missed } = asked(real, data('/bake/loaf', '1'));
      const given = await answer;
      expect([given.status, await given.text(), missed()]).to.deep.equal([
        status,
        '{"a":1}\n',
        times,
      ]);
    }
  });

  it('leaves every other request alone: a failed tap must be seen to have failed', async () => {
    for (const address of ['http://house/api/v1/bakes', 'http://elsewhere/bake/__data.json']) {
      const { answer, missed } = asked(dead, address);
      const fault = await answer.catch((e: unknown) => e);
      expect(fault).to.be.instanceOf(TypeError);
      expect(missed()).to.equal(0);
    }
  });
});
