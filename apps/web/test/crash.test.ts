import Libsql from 'libsql';
import { expect } from 'chai';
import { join } from 'node:path';
import { TestServer } from './server.ts';

const loaf = { stages: [{ lines: [{ ingredient: 'bread-flour', grams: 500 }] }] };

describe('a server killed in the middle of 50 saves', () => {
  it('has every acknowledged save when it comes back, in a sound file', async () => {
    const server = await new TestServer().start();
    try {
      const { json } = await server.ask('POST', '/api/v1/formulas', { ...loaf, name: 'Start' });
      const formula = json['formula'] as object;
      const path = `/api/v1/formulas/${json['id']}`;
      const acknowledged: Array<{ id: string; name: string }> = [];
      let lastVersion = 1;

      const saves = (async () => {
        for (let i = 0; i < 25; i += 1) {
          const answer = await server.ask('PUT', path, {
            version: lastVersion,
            formula: { ...formula, name: `Save ${i}` },
          });
          if (answer.status === 200) lastVersion = answer.json['version'] as number;
        }
      })();
      const adds = Promise.allSettled(
        Array.from({ length: 25 }, async (_, i) => {
          const name = `Added ${i}`;
          const answer = await server.ask('POST', '/api/v1/formulas', { ...loaf, name });
          if (answer.status === 201) acknowledged.push({ id: answer.json['id'] as string, name });
        }),
      );
      while (lastVersion < 8) await new Promise((done) => setTimeout(done, 1));
      await server.kill('SIGKILL');
      await Promise.allSettled([saves, adds]);

      const database = new Libsql(join(server.folder, 'own', 'tender-crumb.db'));
      expect(database.prepare('PRAGMA integrity_check').all()).to.deep.equal([
        { integrity_check: 'ok' },
      ]);
      expect(database.prepare('PRAGMA foreign_key_check').all()).to.deep.equal([]);
      database.close();

      await server.start();
      const { json: now } = await server.ask('GET', path);
      expect(now['version']).to.be.at.least(lastVersion);
      for (let version = 1; version <= lastVersion; version += 1) {
        expect((await server.ask('GET', `${path}?version=${version}`)).status).to.equal(200);
      }
      for (const { id, name } of acknowledged) {
        expect((await server.ask('GET', `/api/v1/formulas/${id}`)).json['formula'].name).to.equal(
          name,
        );
      }
      console.log(
        `      ${lastVersion - 1 + acknowledged.length} of 50 saves were acknowledged before the kill; all are there`,
      );
    } finally {
      await server.end();
    }
  });
});
