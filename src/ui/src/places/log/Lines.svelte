<script lang="ts">
  import Columns3 from "@lucide/svelte/icons/columns-3";
  import { m } from "../../paraglide/messages";
  import Check from "../../parts/Check.svelte";
  import { clock, day, listed } from "../../words/format";
  import { symptomName } from "../../words/symptoms";
  import type { LogList } from "./log.svelte";
  import Marks from "./Marks.svelte";

  let { list, open, chosen = $bindable() }: { list: LogList; open: string; chosen: string[] } = $props();
  const MOST = 4;
</script>

<p class="mb-1 flex min-h-11 items-center justify-between gap-2 text-small text-mute">
  <span data-testid="log-count">{m.log_count({ count: list.count })}</span>
  {#if chosen.length > 1}
    <a class="button" href="#/log/compare/{chosen.join(',')}"
      ><Columns3 size={17} aria-hidden="true" />{m.compare_these({ count: chosen.length })}</a
    >
  {/if}
</p>
<ul class="min-h-0 flex-1 overflow-y-auto" data-testid="log-lines">
  {#each list.lines as line (line.id)}
    <li class="flex items-stretch border-b border-rim-soft last:border-0">
      <Check
        bare
        label={m.compare_pick({ name: line.name, day: day(line.cookedAt) })}
        checked={chosen.includes(line.id)}
        disabled={chosen.length >= MOST && !chosen.includes(line.id)}
        onchange={(on) => (chosen = on ? [...chosen, line.id] : chosen.filter((id) => id !== line.id))}
      />
      <a
        class="block min-w-0 flex-1 rounded-lg border-s-6 border-transparent px-2 py-1.5 hover:bg-white aria-[current=true]:border-ghee aria-[current=true]:bg-enamel"
        href="#/log/{line.id}"
        aria-current={open === line.id ? "true" : undefined}
      >
        <span class="flex items-baseline justify-between gap-2">
          <span class="truncate font-head font-semibold">{line.name}</span>
          <span class="text-fine whitespace-nowrap text-mute">{day(line.cookedAt)} {clock(line.cookedAt)}</span>
        </span>
        <span class="flex items-center gap-3">
          <Marks judged={line.judged} />
          <span class="min-w-0 truncate text-fine text-mute">
            {#if line.faults?.length}<b class="text-chilli">{listed(line.faults.map((f) => symptomName[f]()))}</b>&ensp;{/if}{line.note}
          </span>
        </span>
      </a>
    </li>
  {/each}
  {#if list.fetched && list.lines.length === 0}<li class="py-2 text-mute">
      {list.filtered ? (list.find.trim() ? m.none_found({ find: list.find }) : m.log_none()) : m.log_empty()}
    </li>{/if}
  {#if list.next}<li class="py-2"><button class="button w-full" onclick={() => void list.fetch(true)}>{m.log_more()}</button></li>{/if}
</ul>
