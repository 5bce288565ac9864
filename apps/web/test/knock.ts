import { request } from 'node:http';

/** Asks with headers that a browser would not let a page set. */
export const knockAt = (url: string, headers: Record<string, string>, method = 'GET', body = '') =>
  new Promise<{ status: number; headers: Record<string, unknown>; text: string }>(
    (done, failed) => {
      const asked = request(url, { method, headers }, (response) => {
        let text = '';
        response.on('data', (chunk) => (text += chunk));
        response.on('end', () =>
          done({ status: response.statusCode!, headers: response.headers, text }),
        );
      });
      asked.on('error', failed);
      asked.end(body);
    },
  );
