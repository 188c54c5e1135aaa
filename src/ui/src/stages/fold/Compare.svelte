<script lang="ts">
  import ArrowDown from "@lucide/svelte/icons/arrow-down";
  import ArrowUp from "@lucide/svelte/icons/arrow-up";
  import { call, newest, type Trouble as Why } from "../../api/call";
  import { api } from "../../api/client";
  import { larder } from "../../api/larder.svelte";
  import type { ComparedProgram } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { keyOf } from "../../keys";
  import { m } from "../../paraglide/messages";
  import Chips from "../../parts/Chips.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import Section from "../../section/Section.svelte";
  import { toaster } from "../../toast.svelte";
  import { amount, number } from "../../words/format";
  import { foldSchool } from "../../words/names/fold";
  import { say } from "../../words/refusals";
  import type { StageProps } from "../props";

  let { spec, sheet }: StageProps = $props();
  const own = "own";
  let picked = $state(["letters", "coils", "pleatCoil", "cone"]);
  let rows = $state.raw<ComparedProgram[]>([]);
  let sorted = $state<{ by: Column; down: boolean } | null>(null);
  const most = $derived((larder.view?.mostCompared ?? 6) - 1);

  // Answers can overtake each other; only the newest counts.
  const only = newest();
  let trouble = $state.raw<Why | null>(null);
  $effect(() => void ask());
  async function ask() {
    const body = {
      spec: $state.snapshot(spec),
      schools: $state.snapshot(picked),
      programs: [{ id: own, sheet: $state.snapshot(spec.sheet), fold: $state.snapshot(spec.fold) }],
    };
    const answer = await only(call(() => api.POST("/api/compare", { body })));
    if (!answer) return;
    rows = answer.data ?? rows;
    // What cannot be is said on the bench.
    trouble = answer.trouble?.kind === "refused" ? null : answer.trouble;
  }

  const apart = (r: ComparedProgram) => (r.fold ? (r.fold.rings?.onEdge ? r.fold.rings.apart : r.fold.meanEffective) : 0);
  const columns = {
    program: { label: m.program, of: (r: ComparedProgram) => r.program.id },
    apart: { label: m.col_apart, of: apart },
    leaf: { label: m.col_leaf, of: (r: ComparedProgram) => r.roll?.leaf ?? 0 },
    fat: { label: () => m.col_fat({ mass: amount(100, "g") }), of: (r: ComparedProgram) => r.fold?.fatPer100G ?? 0 },
    hands: { label: m.hand_time, of: (r: ComparedProgram) => r.fold?.hands ?? 0 },
    difficulty: { label: m.difficulty, of: (r: ComparedProgram) => r.fold?.difficulty ?? 0 },
    flake: { label: m.flake, of: (r: ComparedProgram) => r.fold?.flake.points ?? 0 },
  };
  type Column = keyof typeof columns;
  const shown = $derived.by(() => {
    if (!sorted) return rows;
    const { by, down } = sorted;
    const of = columns[by].of;
    return rows.toSorted((a, b) => (of(a) < of(b) ? -1 : of(a) > of(b) ? 1 : 0) * (down ? -1 : 1));
  });
  const sort = (by: Column) =>
    (sorted = { by, down: sorted?.by === by ? !sorted.down : by !== "program" && by !== "hands" && by !== "difficulty" });
  // All sections share one scale, so that a bigger bread looks bigger.
  const scale = $derived({
    across: Math.max(...rows.map((r) => r.section?.across ?? 1), 1),
    thickness: Math.max(...rows.map((r) => r.section?.thickness ?? 0.1), 0.1),
  });

  const nameOf = (id: string) => foldSchool[id]?.() ?? id;

  function use(row: ComparedProgram) {
    if (row.program.id === own || row.refusal) return;
    const before = { sheet: $state.snapshot(spec.sheet), fold: $state.snapshot(spec.fold) };
    batch.change(() => {
      spec.sheet = row.program.sheet;
      spec.fold = row.program.fold;
    });
    toaster.say(
      m.used({ program: nameOf(row.program.id) }),
      batch.back((spec) => Object.assign(spec, before)),
    );
  }
</script>

<Trouble {trouble} again={ask} />
<p class="text-mute">{m.compare_how({ ball: amount(sheet.balls.mass, "g"), most: most + 1 })}</p>
<div class="my-2">
  <Chips
    label={m.compare_with()}
    value={picked}
    options={(larder.view?.foldSchools ?? []).map((id) => ({
      value: id,
      label: nameOf(id),
      disabled: !picked.includes(id) && picked.length >= most,
    }))}
    onchange={(on) => (picked = on)}
  />
</div>
<div class="relative overflow-x-auto">
  <table class="w-full min-w-180 border-collapse text-body" data-testid="compare">
    <thead>
      <tr class="border-b-2 border-rim text-start">
        {#each Object.entries(columns) as [key, column] (key)}
          {@const on = sorted?.by === key}
          <th class="p-0 text-start align-bottom font-head" aria-sort={on ? (sorted?.down ? "descending" : "ascending") : undefined}>
            <button
              class="flex min-h-11 items-center gap-0.5 px-1.5 text-start text-fine leading-tight font-semibold"
              onclick={() => sort(key as Column)}
            >
              {column.label()}{#if on}{#if sorted?.down}<ArrowDown size={14} aria-hidden="true" />{:else}<ArrowUp
                    size={14}
                    aria-hidden="true"
                  />{/if}{/if}
            </button>
          </th>
        {/each}
        <th class="px-1.5 text-start align-bottom font-head text-fine font-semibold"
          ><span class="flex min-h-11 items-center">{m.col_section()}</span></th
        >
        <th><span class="sr-only">{m.use()}</span></th>
      </tr>
    </thead>
    <tbody>
      {#each shown as row (row.program.id)}
        <tr
          class="border-b border-line"
          data-program={row.program.id}
          onkeydown={(e) => {
            if (keyOf(e) !== "U" || e.ctrlKey || e.metaKey || e.altKey) return;
            e.preventDefault();
            use(row);
          }}
        >
          <th class="px-1.5 text-start font-head font-semibold">{nameOf(row.program.id)}</th>
          {#if row.fold && row.roll && row.section}
            <td class="px-1.5">
              <b class="font-head text-lead">{number(apart(row), apart(row) < 10 ? 1 : 0)}</b>
              {#if row.fold.rings?.onEdge}<span class="text-fine text-mute"
                  >{m.rings_count({ count: number(row.fold.rings.count, 0) })}</span
                >{/if}
              {#if row.fold.fused > 0 && !row.fold.rings?.onEdge}<span class="block text-fine text-chilli"
                  >▲ {m.welded({ count: row.fold.fused })}</span
                >{/if}
              {#if row.tooThin}<span class="block text-fine text-chilli">▲ {m.sheet_too_thin_short()}</span>{/if}
            </td>
            <td class="px-1.5 whitespace-nowrap">{amount(row.roll.leaf, "mm")}</td>
            <td class="px-1.5 whitespace-nowrap">{amount(row.fold.fatPer100G, "g")}</td>
            <td class="px-1.5 whitespace-nowrap">{amount(row.fold.hands, "s")}</td>
            <td class="px-1.5" aria-label={m.difficulty_of({ level: row.fold.difficulty })}>
              <span aria-hidden="true" class="tracking-tight"
                >{"●".repeat(row.fold.difficulty)}<span class="text-line">{"●".repeat(5 - row.fold.difficulty)}</span></span
              >
            </td>
            <td class="px-1.5"><b class="font-head text-lead">{number(row.fold.flake.points, 0)}</b></td>
            <td class="w-47.5 px-1.5"><Section section={row.section} height={44} small scaleOf={scale} look={sheet.section.look} /></td>
          {:else}
            <td colspan="7" class="px-1.5 text-chilli">▲ {row.refusal ? m.not_this_ball({ why: say(row.refusal) }) : ""}</td>
          {/if}
          <td class="py-0.5 text-end">
            {#if row.program.id !== own && !row.refusal}
              <button class="button px-3" onclick={() => use(row)} aria-label={m.use_this({ program: nameOf(row.program.id) })}
                >{m.use()}</button
              >
            {/if}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>
