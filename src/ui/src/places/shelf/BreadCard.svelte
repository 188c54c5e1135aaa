<script lang="ts">
  import Ellipsis from "@lucide/svelte/icons/ellipsis";
  import type { BreadView } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Section from "../../section/Section.svelte";
  import { amount } from "../../words/format";
  import { madeOf } from "../../words/made";

  /** A bread on the shelf: what it is, how it looks cut, what is wrong with it. */
  interface Props {
    bread: BreadView;
    /** What all are drawn to. */
    scaleOf: { across: number; thickness: number };
    onpick: () => void;
    onmore: (beside: HTMLElement) => void;
  }
  let { bread, scaleOf, onpick, onmore }: Props = $props();
  const glance = $derived(bread.glance);
</script>

<li class="tray relative flex flex-col px-4 pt-2 pb-2">
  <div class="flex items-start gap-2">
    <div class="min-w-0 flex-1">
      <h2 class="text-big leading-tight font-bold">
        <button class="text-start after:absolute after:inset-0 after:rounded-tray" onclick={onpick}>{bread.name}</button>
      </h2>
      <p class="line-clamp-1 text-small leading-snug text-mute max-lg:line-clamp-2">{bread.about}</p>
    </div>
    <button
      class="relative z-10 -me-2 grid size-target shrink-0 place-items-center rounded-inner text-mute hover:bg-steel"
      aria-label={m.more_of({ name: bread.name })}
      aria-haspopup="menu"
      onclick={(e) => onmore(e.currentTarget)}><Ellipsis size={20} /></button
    >
  </div>
  {#if glance}
    <div class="pointer-events-none mt-auto pt-1"><Section section={glance.section} height={52} small {scaleOf} /></div>
    <p class="mt-0.5 flex flex-wrap gap-x-4 text-small">
      <b>{m.count_times({ count: glance.pieces, mass: amount(glance.ball, "g") })}</b>
      <span>{amount(glance.across, "mm")}</span>
      <span>{madeOf(glance.section, glance.leaves)}</span>
      {#if glance.fused}<span class="font-semibold text-chilli">▲ {m.welded({ count: glance.fused })}</span>{/if}
    </p>
  {:else}<p class="refusal mt-auto">{m.cannot_be_worked()}</p>{/if}
</li>
