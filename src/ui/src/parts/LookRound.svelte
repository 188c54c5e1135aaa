<script lang="ts">
  import { Popover } from "bits-ui";
  import { onDestroy } from "svelte";
  import { m } from "../paraglide/messages";
  import { round, type Stop, STOPS } from "../round.svelte";

  /** A first look round the bench, one thing after the other; what it speaks of has a frame, and can be used meanwhile. */
  const words: Record<Stop, { head: () => string; more: () => string }> = {
    column: { head: m.round_column, more: m.round_column_more },
    bench: { head: m.round_bench, more: m.round_bench_more },
    section: { head: m.round_section, more: m.round_section_more },
    watch: { head: m.round_watch, more: m.round_watch_more },
    stove: { head: m.round_stove, more: m.round_stove_more },
  };
  const stop = $derived(round.stop);
  const last = $derived(round.number === STOPS.length);
  // The words hang on a pin that is always in sight, and off what they speak of.
  let pin = $state<HTMLElement | null>(null);
  $effect(() => {
    const looked = stop ? document.querySelector<HTMLElement>(`[data-round="${stop}"]`) : null;
    looked?.scrollIntoView({ block: "nearest" });
    looked?.toggleAttribute("data-looked-at", true);
    return () => looked?.removeAttribute("data-looked-at");
  });
  // The bench it speaks of is left: so is the look.
  onDestroy(() => round.stop && round.leave());
</script>

<span bind:this={pin} class="pointer-events-none fixed start-1/2 size-px {stop === 'section' ? 'top-1/2' : 'bottom-5'}"></span>
{#if stop && pin}
  {#key stop}
    <Popover.Root open onOpenChange={(open) => !open && round.leave()}>
      <Popover.Portal>
        <Popover.Content
          class="sheet z-60 grid w-76 max-w-[calc(100vw-1.5rem)] gap-1.5 p-4"
          customAnchor={pin}
          side="top"
          collisionPadding={10}
          trapFocus={false}
          interactOutsideBehavior="ignore"
          onCloseAutoFocus={(e) => e.preventDefault()}
          aria-labelledby="round-head"
          data-testid="look-round"
        >
          <p class="text-fine text-mute">{m.of({ part: round.number, whole: STOPS.length })}</p>
          <h2 id="round-head" class="text-lead font-bold">{words[stop].head()}</h2>
          <p class="text-small leading-snug">{words[stop].more()}</p>
          <div class="mt-1 flex gap-2">
            <button class="button strong flex-1" onclick={() => round.next()}>{last ? m.round_done() : m.round_next()}</button>
            {#if !last}<button class="button" onclick={() => round.leave()}>{m.round_leave()}</button>{/if}
          </div>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  {/key}
{/if}
