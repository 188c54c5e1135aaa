<script lang="ts">
  import Check from "@lucide/svelte/icons/check";
  import { call, newest, type Trouble as Why } from "../../api/call";
  import { api } from "../../api/client";
  import type { ClockView, WhatIfSheet } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Trouble from "../../parts/Trouble.svelte";
  import { toaster } from "../../toast.svelte";
  import { buys, span, whatIfName } from "../../words/clock";
  import { amount, beside, listed } from "../../words/format";
  import type { StageProps } from "../props";
  import { clockOf } from "./spec";

  /** What holds the service up, and what a change would buy: each one planned. */
  const id = $props.id();
  let { spec, view }: StageProps & { view: ClockView } = $props();
  let all = $state.raw<WhatIfSheet[]>([]);
  // The changes each would make are laid into the batch as it was then: after another change they are asked for anew.
  let answered = "";
  let trouble = $state.raw<Why | null>(null);
  const only = newest();
  let timer: ReturnType<typeof setTimeout> | undefined;
  const AFTER_MS = 350;
  const report = $derived(view.sheet.report);
  const forwards = $derived(clockOf(spec).by !== "table");
  const late = $derived(report.breaches.some((b) => b.code === "late" || b.code === "tableGone"));

  // Asked once the hand rests: every one of them is a plan of its own.
  $effect(() => {
    void view;
    clearTimeout(timer);
    timer = setTimeout(() => void ask(), AFTER_MS);
    return () => clearTimeout(timer);
  });
  async function ask() {
    const body = { name: batch.name, spec: $state.snapshot(spec), madeFor: batch.madeFor };
    const answer = await only(call(() => api.POST("/api/clock/what-ifs", { body })));
    if (!answer) return;
    // What cannot be is said on the bench.
    trouble = answer.trouble?.kind === "refused" ? null : answer.trouble;
    if (!answer.data) return;
    all = answer.data;
    answered = JSON.stringify(body);
  }
  const stale = () => answered !== JSON.stringify({ name: batch.name, spec: $state.snapshot(spec), madeFor: batch.madeFor });

  async function take(pressed: WhatIfSheet) {
    if (stale()) await ask();
    const what = all.find((w) => w.what === pressed.what);
    if (!what || stale()) return;
    const before = $state.snapshot(spec);
    batch.change(() => Object.assign(spec, what.batch));
    toaster.say(
      m.mended(),
      batch.back((spec) => Object.assign(spec, { clock: null, ...before })),
    );
  }
</script>

<section aria-labelledby="what-ifs-head">
  <h2 id="what-ifs-head" class="text-body font-bold" data-testid="bottleneck">
    {report.bottleneck === "hands"
      ? m.held_by_hands({ hands: amount(report.handsEach, "s"), pans: amount(report.panEach, "s") })
      : report.bottleneck === "pans"
        ? m.held_by_pans({ hands: amount(report.handsEach, "s"), pans: amount(report.panEach, "s") })
        : m.held_by_rests({ chain: span(report.chain) })}
  </h2>
  <p class="text-fine leading-tight text-mute">
    {m.bound_says({
      bound: span(report.bound),
      lead: span(view.sheet.lead),
      idle: amount(Math.round(report.panIdle), "%"),
      waits: span(report.rolledWait),
    })}
  </p>
  <Trouble {trouble} again={ask} />
  <ul class="mt-1 grid gap-x-3 sm:grid-cols-2 xl:grid-cols-3" data-testid="what-ifs">
    {#each all as w (w.what)}
      <li class="border-t border-line" data-what={w.what}>
        <button
          class="flex min-h-11 w-full items-center justify-between gap-2 rounded-inner py-0.5 text-start leading-tight hover:bg-steel"
          onclick={() => void take(w)}
          aria-label={m.take_what_if({ what: whatIfName[w.what]() })}
          aria-describedby="{id}-{w.what}"
        >
          <span id="{id}-{w.what}">
            <b>{whatIfName[w.what]()}</b>
            {#if late && w.enough}<span class="inline-flex items-center gap-1 font-semibold text-leaf"
                ><Check size={15} aria-hidden="true" />{m.would_do()}</span
              >{/if}
            <span class="block text-fine text-mute"
              >{beside(
                listed(buys(w, forwards)),
                w.perHour !== report.perHour && m.an_hour({ count: w.perHour }),
              )}{#if report.breaches.length > 0 && w.breaches === 0}
                · <b class="text-leaf">{m.keeps_limits()}</b>{/if}</span
            >
          </span>
          <span class="shrink-0 font-head text-small font-semibold text-rim" aria-hidden="true">{m.take_it()}</span>
        </button>
      </li>
    {/each}
  </ul>
</section>
