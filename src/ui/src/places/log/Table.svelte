<script lang="ts">
  import { m } from "../../paraglide/messages";
  import { clock, day, listed } from "../../words/format";
  import { symptomName } from "../../words/symptoms";
  import type { LogList } from "./log.svelte";
  import { scales } from "./scales";

  let { list }: { list: LogList } = $props();
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="tray relative min-h-0 flex-1 overflow-auto" tabindex="0" role="region" aria-label={m.log_view_table()}>
  <table class="w-full border-collapse text-small" data-testid="log-table">
    <thead class="sticky top-0 bg-enamel text-start">
      <tr class="border-b-2 border-rim-soft [&>th]:px-2.5 [&>th]:py-2 [&>th]:text-start [&>th]:font-semibold [&>th]:whitespace-nowrap">
        <th scope="col">{m.column_when()}</th>
        <th scope="col">{m.column_bread()}</th>
        <th scope="col">{m.column_pieces()}</th>
        <th scope="col">{m.column_leaves()}</th>
        {#each scales as { key, name } (key)}<th scope="col">{name()}</th>{/each}
        <th scope="col">{m.column_faults()}</th>
        <th scope="col">{m.column_note()}</th>
      </tr>
    </thead>
    <tbody>
      {#each list.lines as line (line.id)}
        <tr class="border-b border-line align-middle [&>*]:px-2.5 [&>*]:py-1.5">
          <td class="whitespace-nowrap">{day(line.cookedAt)} {clock(line.cookedAt)}</td>
          <th scope="row" class="text-start"
            ><a class="inline-flex min-h-11 items-center font-head font-semibold text-rim underline" href="#/log/{line.id}">{line.name}</a>
          </th>
          <td
            >{line.pieces ?? ""}{#if line.lost}&ensp;<span class="text-chilli">−{line.lost}</span>{/if}</td
          >
          <td>{line.leaves ?? ""}</td>
          {#each scales as { key } (key)}
            {@const mark = line.judged[key]}
            <td class={mark != null && mark <= 2 ? "font-bold text-chilli" : mark === 5 ? "font-bold text-leaf" : ""}>{mark ?? ""}</td>
          {/each}
          <td class="text-chilli">{listed((line.faults ?? []).map((f) => symptomName[f]()))}</td>
          <td class="max-w-96 min-w-48 text-mute"
            >{line.note}{#if !line.counts}&ensp;<b>({m.counts_not()})</b>{/if}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
  {#if list.fetched && list.lines.length === 0}<p class="p-4 text-mute">{list.filtered ? m.log_none() : m.log_empty()}</p>{/if}
  {#if list.next}<p class="p-3"><button class="button" onclick={() => void list.fetch(true)}>{m.log_more()}</button></p>{/if}
</div>
