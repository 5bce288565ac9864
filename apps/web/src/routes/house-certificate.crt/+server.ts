import { error } from '@sveltejs/kit';
import { dataFolder } from '$lib/server/data-folder.ts';
import { authorityCertificate } from '$lib/server/serve/authority.ts';
import { authorityFolder } from '$lib/server/serve/certificate.ts';
import type { RequestHandler } from './$types';

/** What a device is told to trust, so that it trusts this kitchen's https. It holds no secret, and is for everybody. */
export const GET: RequestHandler = () => {
  const certificate = authorityCertificate(authorityFolder(dataFolder()));
  if (!certificate) error(404, 'This kitchen has no certificate: it is served without https.');
  return new Response(new Uint8Array(certificate), {
    headers: {
      'content-type': 'application/x-x509-ca-cert',
      'content-disposition': 'attachment; filename="tender-crumb-house.crt"',
    },
  });
};
