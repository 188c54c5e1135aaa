<script lang="ts">
  import { call, callFile } from "../../api/call";
  import { api, sendFile } from "../../api/client";
  import { larder } from "../../api/larder.svelte";
  import { listenToScale } from "../../api/instruments.svelte";
  import type { BadLine, ScaleState } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import BadLines from "../../files/BadLines.svelte";
  import FileButton from "../../files/FileButton.svelte";
  import { fetchFile } from "../../files/files";
  import { m } from "../../paraglide/messages";
  import Figure from "../../parts/Figure.svelte";
  import FigureField from "../../parts/FigureField.svelte";
  import { toaster, told } from "../../toast.svelte";
  import { beside, amount } from "../../words/format";
  import { say } from "../../words/refusals";
  import { troubleWords } from "../../words/trouble";
  import type { StageProps } from "../props";
  import StandIn from "./StandIn.svelte";
  import Tray from "./Tray.svelte";

  let { spec, sheet }: StageProps = $props();
  const tray = $derived(sheet.balls.tray);
  let typed = $state<number | null | undefined>(null);
  // A fresh field for the next weight, there before the answer to this one: what is typed meanwhile stays.
  let added = $state(0);
  let problem = $state("");
  let bad = $state.raw<BadLine[]>([]);
  let view = $state<{ standIn: boolean; tares: boolean }>({ standIn: false, tares: false });
  void call(() => api.GET("/api/scale")).then(({ data }) => (view = data ?? view));

  const scale = listenToScale(take);
  const stateName: Record<ScaleState, () => string> = {
    ready: () => (scale.now.steady ? m.scale_steady() : m.scale_swings()),
    overload: m.scale_overload,
    unplugged: m.scale_unplugged,
    unreadable: m.scale_unreadable,
  };

  const weighed = () => spec.balls.weighed ?? [];
  const lay = (next: number[]) => batch.change(() => (spec.balls.weighed = next.length ? next : undefined));
  // Each ball counts once: a scale that is played with after the last one fills no more trays. How many there are to be is the newest sheet's to say.
  function take(mass: number) {
    if (weighed().length < tray.toWeigh) lay([...weighed(), mass]);
    else
      batch.changeBy((sheet) => {
        if (weighed().length < sheet.balls.tray.toWeigh) spec.balls.weighed = [...weighed(), mass];
      });
  }

  function add() {
    if (typed == null) return;
    take(typed);
    typed = null;
    added++;
  }

  function clear() {
    const before = [...weighed()];
    lay([]);
    toaster.say(
      m.tray_cleared(),
      batch.back((spec) => (spec.balls.weighed = before)),
    );
  }

  async function saveTray() {
    if (await batch.keep()) fetchFile(`/api/batches/${batch.id}/balls.csv`);
    else toaster.say(m.log_needs_keeping());
  }

  /** Weights another scale wrote down: they take the place of what lies on the tray. */
  async function readTray(file: File) {
    const headers = { "content-type": "text/csv" };
    const { data: read, trouble } = await callFile<{ weighed?: number[]; bad?: BadLine[] }>(() =>
      sendFile("/api/files/balls", { method: "POST", headers, body: file }),
    );
    bad = read?.bad ?? [];
    problem = trouble ? troubleWords(trouble) : bad.length ? m.file_none_taken() : "";
    if (problem || !read?.weighed) return;
    const before = [...weighed()];
    lay(read.weighed);
    toaster.say(
      m.tray_was_read({ count: read.weighed.length }),
      batch.back((spec) => (spec.balls.weighed = before.length ? before : undefined)),
    );
  }
</script>

<div class="grid gap-x-6 gap-y-3 sm:grid-cols-[auto_minmax(0,1fr)]">
  <div>
    <p class="text-small text-mute">{m.scale_reads()}</p>
    <p class="min-w-[4.6ch] font-head text-wall leading-none font-bold" class:text-mute={!scale.now.steady} data-testid="reading">
      {scale.now.mass == null ? "—" : amount(Math.round(scale.now.mass), "g")}
    </p>
    <p class="flex items-center gap-2 text-body font-semibold" role="status" data-testid="scale-state" data-state={scale.now.state}>
      <span aria-hidden="true">{scale.now.state !== "ready" ? "▲" : scale.now.steady ? "✓" : "~"}</span>
      <span class={scale.now.state !== "ready" ? "text-chilli" : scale.now.steady ? "text-leaf" : "text-mute"}
        >{stateName[scale.now.state]()}</span
      >
      {#if view.tares}<button
          class="button ms-2 px-3"
          onclick={() =>
            void told(
              m.scale_tare(),
              call(() => api.POST("/api/scale/tare")),
            )}>{m.scale_tare()}</button
        >{/if}
    </p>
  </div>
  <dl class="grid grid-cols-[auto_auto_auto] content-start gap-x-3 gap-y-2">
    <div class="col-span-3">
      <dt class="text-small text-mute">{tray.next == null ? m.all_divided() : m.next_ball()}</dt>
      <dd class="font-head text-dial leading-none font-bold" data-testid="next">
        {#if tray.next != null}{amount(tray.next, "g")}
        {:else if (tray.over ?? 0) < -0.5}<span class="text-figure text-chilli"
            >▲ {m.dough_short({ mass: amount(-(tray.over ?? 0), "g") })}</span
          >
        {:else}<span class="text-figure">{m.dough_over({ mass: amount(Math.max(tray.over ?? 0, 0), "g") })}</span>{/if}
      </dd>
    </div>
    <Figure label={m.tray_left()} value={m.of({ part: tray.left, whole: tray.toWeigh })} />
    <Figure label={m.tray_mean()} value={tray.spread ? amount(tray.spread.mean, "g") : "—"} />
    <Figure
      label={beside(m.tray_sd(), m.tray_cv())}
      value={tray.spread
        ? `${tray.spread.even ? "✓" : "▲"} ${beside(amount(tray.spread.deviation, "g"), amount(tray.spread.variation, "%"))}`
        : "—"}
      tone={tray.spread ? (tray.spread.even ? "good" : "bad") : ""}
    />
  </dl>
</div>

<Tray {tray} across={sheet.balls.across} />

<div class="mt-2 grid items-end gap-3 sm:grid-cols-2">
  <form
    class="flex items-end gap-2"
    onsubmit={(e) => {
      e.preventDefault();
      add();
    }}
  >
    {#key added}<div class="w-36">
        <FigureField label={m.weigh_in()} limit={larder.limit("balls.weighed[]")} unit="g" bind:value={typed} />
      </div>{/key}
    <button class="button" disabled={typed == null}>{m.weigh_add()}</button>
  </form>
  <div class="w-44">
    <FigureField
      label={m.small_one()}
      limit={larder.limit("balls.smallOne")}
      unit="g"
      bind:value={() => spec.balls.smallOne, (v) => batch.change(() => (spec.balls.smallOne = v ?? undefined))}
      refusal={batch.refusalOf("balls.smallOne")}
    />
  </div>
</div>
{#if problem}<p class="refusal mt-1" role="alert">{problem}</p>{/if}
{#if bad.length}<BadLines {bad} />{/if}
{#each batch.refusals.filter((r) => r.field.startsWith("balls.weighed")) as r (r.field)}<p class="refusal mt-1">{say(r)}</p>{/each}
<div class="mt-1 flex flex-wrap gap-2">
  <button class="button plain" disabled={weighed().length === 0} onclick={() => lay(weighed().slice(0, -1))}>{m.weigh_undo()}</button>
  <button class="button plain" disabled={weighed().length === 0} onclick={clear}>{m.weigh_clear()}</button>
  <span class="flex-1"></span>
  <button class="button plain" onclick={() => void saveTray()}>{m.tray_save()}</button>
  <FileButton plain label={m.tray_read()} accept=".csv,text/csv" onfile={readTray} />
</div>

{#if view.standIn}<StandIn like={tray.next ?? sheet.balls.mass} unplugged={scale.now.state === "unplugged"} />{/if}
