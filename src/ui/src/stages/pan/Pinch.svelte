<script lang="ts">
  import { onDestroy } from "svelte";
  import { m } from "../../paraglide/messages";
  import Slide from "../../parts/Slide.svelte";
  import { amount } from "../../words/format";
  import { viewOf } from "../../words/units";
  import { tintOf } from "../../section/tint";

  /** A pinch of flour on the empty pan: the sooner it goes gold, the hotter the pan. The cook says how hot. */
  interface Props {
    seconds: number;
    quick: boolean;
    times: number;
    guess: number | null;
  }
  let { seconds, quick, times, guess = $bindable() }: Props = $props();
  const view = $derived(viewOf("°C"));
  let lain = $state(0);
  let timer: ReturnType<typeof setInterval> | undefined;
  const TICK_MS = 100;
  function pinch() {
    clearInterval(timer);
    lain = 0;
    timer = setInterval(() => {
      lain += (TICK_MS / 1000) * (quick ? times : 1);
      if (lain > 2.5 * seconds) clearInterval(timer);
    }, TICK_MS);
  }
  onDestroy(() => clearInterval(timer));
</script>

<div class="grid grid-cols-[minmax(0,1fr)] gap-y-1" data-testid="pinch">
  <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
    <button class="button" onclick={pinch}>
      <span
        class="size-6 rounded-full border-2 border-rim-soft"
        style:background={lain > 0 ? tintOf(lain / seconds) : "transparent"}
        aria-hidden="true"
      ></span>{m.practice_pinch()}
    </button>
    <span class="min-w-32 flex-1 text-body"
      >{lain > 0 ? (lain >= seconds ? m.practice_pinch_gold() : m.practice_pinch_pale()) : m.practice_pinch_how()}</span
    >
  </div>
  <p class="flex justify-between text-body" aria-hidden="true">
    <span>{m.practice_guess()}</span><b>{guess == null ? m.practice_not_guessed() : amount(guess, "°C")}</b>
  </p>
  <Slide
    label={m.practice_guess()}
    value={view.to(guess ?? 210)}
    least={view.to(160)}
    most={view.to(260)}
    step={view.step(5)}
    said={guess == null ? m.practice_not_guessed() : amount(guess, "°C")}
    onchange={(v) => (guess = view.from(v))}
  />
</div>
