<script lang="ts">
  import { call } from "../api/call";
  import { api } from "../api/client";
  import type { BatchSpec, Section as Cut } from "../api/types";
  import { m } from "../paraglide/messages";
  import Section from "../section/Section.svelte";
  import type { Clash } from "../versions/merge";
  import { rowsOf } from "../words/differs";

  /** Two sets of figures side by side, only what differs, each with its section. */
  interface Props {
    clashes: Clash[];
    heads: { mine: string; theirs: string };
    /** What each would be, to be drawn. */
    specs?: { mine: BatchSpec; theirs: BatchSpec } | undefined;
  }
  let { clashes, heads, specs }: Props = $props();
  const MOST = 12;
  const rows = $derived(rowsOf(clashes));
  const sides = ["mine", "theirs"] as const;

  let cuts = $state.raw<Record<"mine" | "theirs", Cut | undefined> | null>(null);
  $effect(() => {
    cuts = null;
    if (specs) void draw(specs);
  });
  // What cannot be worked is not drawn; its figures stand there all the same.
  async function draw(of: { mine: BatchSpec; theirs: BatchSpec }) {
    const cut = async (body: BatchSpec) => (await call(() => api.POST("/api/plan", { body }))).data?.section;
    const [mine, theirs] = await Promise.all([cut(of.mine), cut(of.theirs)]);
    if (specs === of) cuts = { mine, theirs };
  }
  const drawn = $derived(Object.values(cuts ?? {}).filter((c) => c !== undefined));
  const scale = $derived({
    across: Math.max(1, ...drawn.map((c) => c.across)),
    thickness: Math.max(1, ...drawn.map((c) => c.thickness)),
  });
</script>

<table class="w-full table-fixed border-collapse text-lead">
  <thead>
    <tr class="rim-b text-start font-head">
      <td class="w-[30%] max-sm:hidden"></td>
      {#each sides as side (side)}
        <th scope="col" class="py-1.5 text-start align-bottom font-bold" class:text-rim={side === "mine"}>
          {heads[side]}
          <!-- Its room is there before it is: what is pressed below does not move away under a finger. -->
          {#if specs}<div class="min-h-12.5 overflow-hidden pe-3 pt-1">
              {#if cuts?.[side]}<Section section={cuts[side]} height={46} small scaleOf={scale} />{/if}
            </div>{/if}
        </th>
      {/each}
    </tr>
  </thead>
  {#each rows.slice(0, MOST) as row (row.label + row.mine + row.theirs)}
    <tbody>
      <tr class="sm:hidden"><th scope="rowgroup" colspan="2" class="pt-2 text-start text-body font-medium text-mute">{row.label}</th></tr>
      <tr class="border-b border-line" data-differs>
        <th scope="row" class="py-2 pe-3 text-start text-body font-medium text-mute max-sm:hidden">{row.label}</th>
        <td class="py-2 pe-3 font-head font-bold text-rim">{row.mine}</td>
        <td class="py-2 font-head font-bold">{row.theirs}</td>
      </tr>
    </tbody>
  {/each}
</table>
{#if rows.length > MOST}<p class="text-mute">{m.elsewhere_more({ count: rows.length - MOST })}</p>{/if}
