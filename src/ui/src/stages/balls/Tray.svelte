<script lang="ts">
  import type { BatchSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { amount, number } from "../../words/format";

  /** The balls as they lie on the tray, each with what is to be added or taken. */
  let { tray, across }: { tray: BatchSheet["balls"]["tray"]; across: number } = $props();
  // The tray is as wide as it is; balls keep one scale among themselves.
  const widest = $derived(Math.max(...tray.balls.map((b) => b.across), across));
  const correction = (grams: number) =>
    grams === 0 ? m.tray_right() : (grams > 0 ? m.tray_add : m.tray_take)({ mass: amount(Math.abs(grams), "g") });
</script>

<ol
  class="mt-3 flex min-h-23 flex-wrap content-start gap-x-1 gap-y-1.5 rounded-xl border-2 border-rim bg-white p-2"
  aria-label={m.tray()}
  data-testid="tray"
>
  {#each tray.balls as ball, i (i)}
    <li class="w-18 text-center" data-ball={ball.correction === 0 ? "right" : ball.correction > 0 ? "light" : "heavy"}>
      <span class="sr-only"
        >{m.tray_ball({
          number: i + 1,
          mass: amount(ball.mass, "g"),
          what: ball.small ? m.tray_small() : correction(ball.correction),
        })}</span
      >
      <span aria-hidden="true">
        <svg viewBox="-30 -30 60 60" class="mx-auto h-13.5 w-13.5">
          <circle r={(ball.across / widest) * 28} fill="var(--color-dough)" stroke="var(--color-crust)" stroke-width="1.6" />
          <text text-anchor="middle" y="6" font-family="var(--font-head)" font-weight="700" font-size="17">{number(ball.mass, 0)}</text>
        </svg>
        <span class="block text-fine leading-tight {ball.correction === 0 ? 'text-leaf' : 'text-chilli'}"
          >{ball.small
            ? m.tray_small()
            : ball.correction === 0
              ? `✓ ${ball.deviation >= 0 ? "+" : "−"}${number(Math.abs(ball.deviation), 0)}`
              : `▲ ${correction(ball.correction)}`}</span
        >
      </span>
    </li>
  {:else}
    <li class="px-2 py-4 text-mute">{m.tray_how()}</li>
  {/each}
</ol>
