import { archiveOfNow } from '$lib/server/archive/one-moment.ts';
import { dayAt } from '$lib/server/day.ts';
import { databaseFile, kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { currentTime } from '$lib/clock.ts';

export const GET = route(async () => {
  await kitchen();
  return new Response(await archiveOfNow(databaseFile()), {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="tender-crumb-${dayAt(currentTime())}.zip"`,
    },
  });
});
