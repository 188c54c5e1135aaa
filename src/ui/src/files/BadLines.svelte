<script lang="ts">
  import type { BadLine } from "../api/types";
  import { m } from "../paraglide/messages";
  import { reason } from "../words/files";

  /** Lines of a file that cannot be taken, each with its reasons. */
  let { bad, most = 60 }: { bad: BadLine[]; most?: number } = $props();
</script>

<!-- Scrolled by keyboard as well. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<ul class="mt-2 max-h-64 min-h-0 flex-1 overflow-y-auto text-small" tabindex={0} aria-label={m.file_bad_lines()}>
  {#each bad.slice(0, most) as { line, name, refusals } (line + name)}
    <li class="border-b border-line py-1" data-line={line}>
      <b>{m.import_line({ line, name: name || "…" })}</b>
      {#each refusals as r (r.field + r.code)}<span class="refusal block">{reason(r)}</span>{/each}
    </li>
  {/each}
  {#if bad.length > most}<li>{m.import_more({ count: bad.length - most })}</li>{/if}
</ul>
