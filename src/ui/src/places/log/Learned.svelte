<script lang="ts">
  import RotateCcw from "@lucide/svelte/icons/rotate-ccw";
  import { call, callPages } from "../../api/call";
  import { changes } from "../../api/changes.svelte";
  import { api, meant } from "../../api/client";
  import { Fetched } from "../../api/fetched.svelte";
  import type { LearnedFigure, LearnedView } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Switch from "../../parts/Switch.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { toaster } from "../../toast.svelte";
  import { number } from "../../words/format";
  import { learnedAmount, learnedName } from "../../words/record";

  /** What the record says of flours, vegetables, hands and pan, and whether plans use it. */
  const learned = new Fetched(() => callPages((after) => call(() => api.GET("/api/learned", { params: { query: { after } } }))));
  $effect(() => {
    void changes.of("learned");
    void changes.of("log");
    void learned.fetch();
  });
  type Said = Pick<LearnedFigure, "kind" | "of" | "used">;
  const figures = $derived(learned.data?.map((l) => l.figure));

  // One that was begun anew has nothing to show until the next cooking: its version comes with the answer.
  async function say({ kind, of, used: before }: Said, used: boolean, forget?: boolean, now?: string) {
    const version = now ?? learned.data?.find((l) => l.figure.kind === kind && l.figure.of === of)?.version ?? "";
    const body = { kind, of, used, forget: forget ?? null };
    const { data, trouble, ...answer } = await call(() => api.PUT("/api/learned", { params: { header: meant(version) }, body }));
    if (trouble) {
      // What another screen said of it is shown; whoever wanted the same has it.
      if (trouble.kind === "stale" && trouble.now) learned.data = trouble.now as LearnedView[];
      const stands = learned.data?.find((l) => l.figure.kind === kind && l.figure.of === of)?.figure.used;
      if (trouble.kind !== "stale" || stands !== used || forget !== undefined) toaster.trouble(learnedName({ kind, of }), trouble);
      return;
    }
    learned.data = data;
    // What lies on the bench is worked out with what is used now.
    batch.again();
    const back = (to: boolean, remember?: boolean) => () =>
      say({ kind, of, used }, to, remember, "version" in answer ? answer.version : "");
    if (forget) toaster.say(m.learned_forgotten(), back(before, false));
    else if (forget === undefined) toaster.say(used ? m.learned_on() : m.learned_off(), back(!used));
  }

  // Where before and after lie, on a line a little wider than both and what was seen.
  function span(f: LearnedFigure) {
    const all = [f.before, f.after, f.seen];
    const [least, most] = [Math.min(...all) - f.spread, Math.max(...all) + f.spread];
    const wide = most - least || 1;
    return (v: number) => 4 + ((v - least) / wide) * 92;
  }
</script>

<section class="tray min-h-0 flex-1 overflow-y-auto px-4 py-3 sm:px-5.5" aria-label={m.log_view_learned()}>
  <p class="mb-2 max-w-[70ch] text-mute">{m.learned_how({ n: 3, share: "50 %" })}</p>
  <Trouble trouble={learned.trouble} again={learned.fetch} />
  {#if figures?.length === 0}<p class="py-6 text-mute">{m.learned_none()}</p>{/if}
  <ul data-testid="learned">
    {#each figures ?? [] as figure (figure.kind + figure.of)}
      {@const at = span(figure)}
      {@const seen = figure.seen}
      <li
        class="grid items-center gap-x-5 gap-y-1 border-b border-line py-2.5 last:border-0 lg:grid-cols-[minmax(0,1fr)_minmax(0,300px)_auto]"
        data-learned="{figure.kind}:{figure.of}"
      >
        <div>
          <h2 class="text-lead leading-tight font-bold">{learnedName(figure)}</h2>
          <p class="text-small text-mute">
            {#if figure.n < figure.least}{m.learned_from({ least: figure.least })},
            {/if}{m.learned_n({ n: figure.n })}, {m.learned_spread({
              spread: figure.unit === "" ? number(figure.spread, 2) : learnedAmount(figure.spread, figure.unit),
            })}
          </p>
        </div>
        <div>
          <p class="flex justify-between gap-3 text-body">
            <span
              >{m.learned_before()}
              <b class={figure.used ? "" : "font-head text-big"}>{learnedAmount(figure.before, figure.unit)}</b></span
            >
            <span
              >{m.learned_after()}
              <b class={figure.used ? "font-head text-big" : ""}>{learnedAmount(figure.after, figure.unit)}</b></span
            >
          </p>
          <svg viewBox="0 0 100 12" class="h-6 w-full" preserveAspectRatio="none" aria-hidden="true">
            <rect x="0" y="5" width="100" height="2" fill="var(--color-line)" />
            <rect
              x={at(seen - figure.spread)}
              y="2.5"
              width={at(seen + figure.spread) - at(seen - figure.spread)}
              height="7"
              fill="var(--color-leaf-soft)"
            />
            <rect x={at(seen) - 0.5} y="1" width="1" height="10" fill="var(--color-leaf)" />
            <rect
              x={at(figure.before) - 0.7}
              y="0"
              width="1.4"
              height="12"
              fill={figure.used ? "var(--color-rim-soft)" : "var(--color-rim)"}
            />
            <rect
              x={at(figure.after) - 0.7}
              y="0"
              width="1.4"
              height="12"
              fill={figure.used ? "var(--color-rim)" : "var(--color-rim-soft)"}
            />
          </svg>
        </div>
        <div class="flex flex-wrap items-center gap-2">
          <Switch label={m.learned_use()} of={learnedName(figure)} checked={figure.used} onchange={(used) => void say(figure, used)} />
          <button
            class="button plain"
            onclick={() => void say(figure, false, true)}
            aria-label={m.choice_of({ label: m.learned_forget(), value: learnedName(figure) })}
            ><RotateCcw size={16} aria-hidden="true" />{m.learned_forget()}</button
          >
        </div>
      </li>
    {/each}
  </ul>
</section>
