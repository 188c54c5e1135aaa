<script lang="ts">
  import Bell from "@lucide/svelte/icons/bell";
  import BellOff from "@lucide/svelte/icons/bell-off";
  import EyeOff from "@lucide/svelte/icons/eye-off";
  import LogOut from "@lucide/svelte/icons/log-out";
  import Volume2 from "@lucide/svelte/icons/volume-2";
  import VolumeX from "@lucide/svelte/icons/volume-x";
  import type { ServiceView, StoveSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Tip from "../../parts/Tip.svelte";
  import Toggle from "../../parts/Toggle.svelte";
  import { awake, bell, bellWords, voice } from "../../stove/bell.svelte";
  import type { Shows } from "../../stove/due.svelte";
  import type { StoveScreen } from "../../stove/screen.svelte";
  import { span } from "../../words/clock";
  import { clock as hour } from "../../words/format";

  /** How the service stands, and what this screen is there for. */
  interface Props {
    screen: StoveScreen;
    view: ServiceView;
    sheet: StoveSheet;
    choices: [Shows, string][];
    shows: Shows;
    onshow: (what: Shows) => void;
    onask: () => void;
    onleave: () => void;
  }
  let { screen, view, sheet, choices, shows, onshow, onask, onleave }: Props = $props();
  const table = $derived(hour(new Date(Date.parse(view.openedAt) + sheet.table * 1000).toISOString()));
</script>

<header>
  <h1 class="min-w-0 flex-1 truncate text-figure font-bold">{view.name}</h1>
  <span class="done" data-testid="done"
    >{m.done_of({ done: sheet.done, all: sheet.toMake })}{#if sheet.lost > 0}<span class="text-night-hot"
        >, {m.lost_count({ count: sheet.lost })}</span
      >{/if}</span
  >
  {#if !screen.heard}<span class="chip border-night-hot" role="alert" data-testid="unheard">{m.kitchen_silent()}</span>
  {:else if screen.full}<span class="chip border-night-hot" role="alert" data-testid="unheard">{m.stove_full()}</span>{/if}
  <span class="turns" role="group" aria-label={m.this_screen_shows()}>
    {#each choices as [what, label] (what)}
      <Toggle class="chip tab" pressed={shows === what} onpress={() => onshow(what)}>{label}</Toggle>
    {/each}
  </span>
  <span class="rest">
    <button class="chip tab" data-testid="in-hand" onclick={onask}
      >{m.table_is({ time: table })}
      {#if sheet.stuck}<b class="text-night-hot">{m.stands_still()}</b>
      {:else if sheet.inHand >= -59}<b class="text-night-leaf"
          >{sheet.inHand < 60 ? m.on_time() : m.in_hand({ time: span(sheet.inHand) })}</b
        >
      {:else}<b class="text-night-hot">{m.late_by({ time: span(-sheet.inHand) })}</b>{/if}</button
    >
    {#if !awake.kept}<span data-testid="may-sleep"
        ><Tip words={m.may_sleep()} class="chip tab"
          ><EyeOff size={20} aria-hidden="true" /><span class="sr-only">{m.may_sleep()}</span></Tip
        ></span
      >{/if}
    <button class="chip tab" aria-label={bellWords()} onclick={() => bell.toggle()}
      >{#if bell.on && !bell.blocked}<Bell size={20} aria-hidden="true" />{:else}<BellOff size={20} aria-hidden="true" />{/if}</button
    >
    {#if voice.there}<Toggle class="chip tab" aria-label={m.voice_says()} pressed={voice.on} onpress={() => voice.toggle()}
        >{#if voice.on}<Volume2 size={20} aria-hidden="true" />{:else}<VolumeX size={20} aria-hidden="true" />{/if}</Toggle
      >{/if}
    <button class="chip tab" onclick={onleave}
      ><LogOut size={20} class="sm:hidden rtl:rotate-180" aria-hidden="true" /><span class="max-sm:sr-only">{m.leave_stove()}</span>
      <kbd class="max-sm:hidden">Esc</kbd></button
    >
  </span>
</header>
