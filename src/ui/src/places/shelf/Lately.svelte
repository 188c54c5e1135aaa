<script lang="ts">
  import CalendarDays from "@lucide/svelte/icons/calendar-days";
  import Trash2 from "@lucide/svelte/icons/trash-2";
  import type { BatchView } from "../../api/types";
  import { type Keeper, keepers } from "../../bench/keeper.svelte";
  import { m } from "../../paraglide/messages";
  import { toaster } from "../../toast.svelte";
  import { day, moment, toDay } from "../../words/format";
  import { keepingWords } from "../../words/trouble";

  /** What was on the bench lately, what the kitchen has not yet first. */
  interface Props {
    batches: BatchView[];
    /** Whether the kitchen has answered. */
    known: boolean;
    more: boolean;
    onmore: () => void;
    onremove: (batch: BatchView) => void;
  }
  let { batches, known, more, onmore, onremove }: Props = $props();
  const kept = $derived(batches.filter((b) => !keepers.unkept.some((k) => k.id === b.id)));

  // The next day on which something is made.
  const nextDay = $derived.by(() => {
    const coming = batches.map((b) => Date.parse(b.madeFor)).filter((at) => at >= Date.now());
    return toDay(new Date(coming.length ? Math.min(...coming) : Date.now()));
  });

  function discard(keeper: Keeper) {
    const { figures } = keeper;
    keeper.discard();
    toaster.say(m.discarded({ name: figures.name || m.nameless() }), () => keeper.changed(figures));
  }
</script>

{#snippet line(href: string, name: string, about: { text: string; trouble: boolean }, press: { label: string; go: () => void })}
  <a class="min-w-0 flex-1 py-2 after:absolute after:inset-0" {href}>
    <span class="block truncate font-head font-semibold">{name}</span>
    <span class="block text-fine {about.trouble ? 'font-semibold text-chilli' : 'text-mute'}">{about.text}</span>
  </a>
  <button
    class="relative grid size-target place-items-center rounded-inner text-mute hover:bg-white"
    aria-label={press.label}
    onclick={press.go}><Trash2 size={16} /></button
  >
{/snippet}

<section class="flex min-h-0 flex-col" aria-labelledby="lately">
  <div class="mb-3 flex min-h-target items-center justify-between gap-2">
    <h2 id="lately" class="text-lead leading-tight font-bold">{m.lately()}</h2>
    {#if known}<a class="button shrink-0 px-3 text-small whitespace-nowrap" href="#/day/{nextDay}"
        ><CalendarDays size={17} aria-hidden="true" />{m.day_sheet()}</a
      >{/if}
  </div>
  <ul class="min-h-0 overflow-y-auto">
    {#each keepers.unkept as k (k.id)}
      {@const name = k.figures.name || m.nameless()}
      <li class="relative flex items-center border-b border-rim-soft last:border-0" data-unkept={k.keeping}>
        {@render line(
          `#/batch/${k.id}`,
          name,
          { text: m.trouble_is({ trouble: keepingWords(k.keeping, k.trouble) || m.not_kept_here() }), trouble: true },
          { label: m.choice_of({ label: m.discard_unkept(), value: name }), go: () => discard(k) },
        )}
      </li>
    {/each}
    {#each kept as b (b.id)}
      {@const at = moment(b.madeFor)}
      <li class="relative flex items-center border-b border-rim-soft last:border-0">
        {@render line(
          `#/batch/${b.id}`,
          b.name,
          { text: b.spec.start.by === "pieces" ? m.batch_lately({ at, count: b.spec.start.pieces }) : at, trouble: false },
          { label: m.delete_of({ name: b.name, day: day(b.madeFor) }), go: () => onremove(b) },
        )}
      </li>
    {/each}
    {#if more}<li class="py-2"><button class="button w-full" onclick={onmore}>{m.batches_more()}</button></li>{/if}
    {#if known && batches.length === 0 && keepers.unkept.length === 0}<li class="py-2 text-mute">{m.no_batches()}</li>{/if}
  </ul>
</section>
