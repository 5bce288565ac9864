import { archiveStream } from '$lib/server/archive/write.ts';
import { dayAt } from '$lib/server/day.ts';
import { databaseFile, kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { photoFolder } from '$lib/server/store/photos.ts';
import { currentTime } from '$lib/clock.ts';

export const GET = route(async () => {
  const db = await kitchen();
  return new Response(archiveStream(db, photoFolder(databaseFile())), {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="tender-crumb-${dayAt(currentTime())}.zip"`,
    },
  });
});
