<script lang="ts">
  import type { Formula } from '@tender-crumb/core/formula';
  import { mostText, type Paste } from './paste.svelte.ts';
  import PagesRead from './PagesRead.svelte';
  import { isPage, readFileOf } from './read-pages.ts';

  let {
    paste,
    fault,
    onread,
    onempty,
  }: {
    paste: Paste;
    fault: string;
    /** A photo is being read: what reads its text will be wanted. */
    onread: () => void;
    /** A sheet with nothing on it but the picture to type from. */
    onempty: (formula: Formula) => void;
  } = $props();

  /** A photo or a PDF is being read: what is said of it, and a way to stop. */
  let reading = $state.raw<{ readonly says: string; readonly done?: number } | undefined>();
  let stop: AbortController | undefined;
  /** Why a file was not read, or was hard to read. */
  let notRead = $state('');

  /** Has files read, one after another; a text among them stands in the place of what is there. */
  export async function take(files: readonly File[]): Promise<void> {
    notRead = '';
    for (const [i, file] of files.entries()) {
      if (!isPage(file)) {
        paste.text = (await file.text()).slice(0, mostText);
        continue;
      }
      if (i === 0) onread();
      stop = new AbortController();
      const which = files.length > 1 ? `${i + 1} of ${files.length}: ` : '';
      reading = { says: `${which}Sending it` };
      const came = await readFileOf(
        file,
        ({ doing, done, total }) => {
          if (doing && reading)
            reading = { says: which + doing, ...(total ? { done: (done ?? 0) / total } : {}) };
        },
        stop.signal,
      );
      reading = undefined;
      if ('stopped' in came) break;
      if ('refused' in came) notRead = came.refused;
      else {
        paste.addPage(came.page, came.text);
        if (came.hard)
          notRead = came.page.id
            ? 'We could read hardly anything in this picture. It stays here: type the recipe beside it, or take it again, closer and in more light.'
            : 'We could read hardly anything in this file.';
      }
    }
  }

  async function empty() {
    const [{ newFormula }, { withPages }] = await Promise.all([
      import('../shelf/new-formula.ts'),
      import('./read-paste.ts'),
    ]);
    onempty({ ...newFormula(), ...withPages(paste.pages) });
  }
</script>

{#if reading}
  <div class="flex flex-wrap items-center gap-3" data-testid="reading">
    <span>{reading.says} …</span>
    {#if reading.done !== undefined}
      <progress class="h-3 w-40 accent-rim" max="1" value={reading.done}></progress>
    {/if}
    <button class="knob" type="button" onclick={() => stop?.abort()}>Stop</button>
  </div>
{/if}
{#if notRead}<p class="font-semibold text-act" role="alert">{notRead}</p>{/if}
{#if paste.pages.length > 0}
  {@const bare = paste.text.trim() === ''}
  <PagesRead pages={paste.pages} large={bare} onaway={(id) => paste.dropPage(id)} />
  {#if bare && !reading}
    <p>
      <button class="knob" type="button" onclick={empty}>Type the recipe beside the picture</button>
    </p>
    {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  {/if}
{/if}
