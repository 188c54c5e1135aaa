<script lang="ts">
  import { untrack } from "svelte";
  import { call, newest, type Trouble as Why } from "../../api/call";
  import { patient } from "../../api/client";
  import { larder } from "../../api/larder.svelte";
  import type { FoundProgram, Limit, Refusal } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Trouble from "../../parts/Trouble.svelte";
  import FigureField from "../../parts/FigureField.svelte";
  import Section from "../../section/Section.svelte";
  import { toaster } from "../../toast.svelte";
  import { beside, amount, number } from "../../words/format";
  import { foldSchool } from "../../words/names/fold";
  import type { StageProps } from "../props";
  import { titleOf } from "./words";

  let { spec, sheet }: StageProps = $props();
  // Begins with what the batch makes now.
  const start = untrack(() => ({
    leaves: Math.max(Math.round(sheet.fold.rings?.onEdge ? sheet.fold.rings.apart : sheet.fold.effective), 2),
    leaf: Number(sheet.roll.leaf.toFixed(2)),
    across: spec.roll.diameter,
  }));
  let leaves = $state<number | null | undefined>(start.leaves);
  let leaf = $state<number | null | undefined>(start.leaf);
  let across = $state<number | null | undefined>(start.across);
  let found = $state.raw<FoundProgram[]>([]);
  let refusals = $state.raw<Refusal[]>([]);
  const limit = (field: string): Limit =>
    larder.view?.wantedLimits.find((l) => l.field === field) ?? { field, least: 0, most: 1e6, unit: "" };
  const refusal = (field: string) => refusals.find((r) => r.field === `wanted.${field}`);

  let trouble = $state.raw<Why | null>(null);
  let answered = $state(false);
  const only = newest();
  $effect(() => void ask());
  async function ask() {
    if (leaves == null || leaf == null || across == null) return;
    const body = { spec: untrack(() => $state.snapshot(spec)), wanted: { leaves: Math.round(leaves), leaf, across } };
    const answer = await only(call(() => patient.POST("/api/reverse", { body })));
    if (!answer) return;
    refusals = answer.trouble?.kind === "refused" ? answer.trouble.refusals : [];
    trouble = answer.trouble?.kind === "refused" ? null : answer.trouble;
    found = answer.data ?? found;
    answered = answer.data !== null;
  }

  const sheetWords = ({ program: { program } }: FoundProgram) =>
    program.sheet.width == null
      ? amount(program.sheet.diameter, "mm")
      : m.by({ long: amount(program.sheet.diameter, "mm"), wide: amount(program.sheet.width, "mm") });
  const name = (f: FoundProgram) => foldSchool[f.program.program.id]?.() ?? f.program.program.id;

  function use(f: FoundProgram) {
    const before = $state.snapshot({ sheet: spec.sheet, fold: spec.fold, balls: spec.balls, roll: spec.roll });
    batch.change(() => {
      spec.sheet = f.program.program.sheet;
      spec.fold = f.program.program.fold;
      spec.balls = f.balls;
      spec.roll = f.roll;
    });
    toaster.say(
      m.used({ program: name(f) }),
      batch.back((spec) => Object.assign(spec, before)),
    );
  }
</script>

<p class="text-mute">{m.find_how()}</p>
<div class="my-2 grid max-w-xl grid-cols-3 gap-3">
  <FigureField label={m.want_leaves()} limit={limit("leaves")} bind:value={leaves} refusal={refusal("leaves")} />
  <FigureField label={m.want_leaf()} limit={limit("leaf")} unit="mm" bind:value={leaf} refusal={refusal("leaf")} />
  <FigureField label={m.want_across()} limit={limit("across")} unit="cm" bind:value={across} refusal={refusal("across")} />
</div>
<Trouble {trouble} again={ask} />
{#if answered && found.length === 0 && refusals.length === 0}<p class="mb-1 font-semibold text-ghee-deep">▲ {m.found_none()}</p>{/if}
<ul class="grid gap-1" data-testid="found">
  {#each found as f, i (i)}
    {@const fold = f.program.fold}
    {@const roll = f.program.roll}
    {#if fold && roll && f.program.section}
      <li
        class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-b border-line py-1 sm:grid-cols-[minmax(0,1fr)_140px_auto]"
      >
        <div class="min-w-0">
          <p class="font-head font-semibold">
            {name(f)}
            <span class="font-text text-small font-normal text-mute">{beside(...f.program.program.fold.steps.map(titleOf))}</span>
          </p>
          <p class="text-small">
            <b class="font-head text-lead">{amount(fold.hands, "s")}</b>
            · {number(fold.rings?.onEdge ? fold.rings.apart : fold.meanEffective, 1)} × {amount(roll.leaf, "mm")}
            · {m.takes_ball()} <b>{amount(f.ball, "g")}</b> · {m.takes_sheet()}
            {sheetWords(f)}
          </p>
        </div>
        <div class="max-sm:hidden"><Section section={f.program.section} height={44} small look={sheet.section.look} /></div>
        <button class="button px-3" onclick={() => use(f)} aria-label={m.use_this({ program: name(f) })}>{m.use()}</button>
      </li>
    {/if}
  {/each}
</ul>
