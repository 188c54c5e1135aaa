<script lang="ts">
  import { call } from "../api/call";
  import { api } from "../api/client";
  import type { BatchSpec, Section as Cut } from "../api/types";
  import { m } from "../paraglide/messages";
  import Dialog from "./Dialog.svelte";
  import DialogClose from "./DialogClose.svelte";
  import Section from "../section/Section.svelte";
  import { elsewhere } from "../versions/elsewhere.svelte";
  import { same } from "../versions/merge";
  import { rowsOf } from "../words/differs";

  /** Two screens changed the same: both sets of figures side by side, only what differs, and whose go on. */
  const MOST = 12;
  const question = $derived(elsewhere.question);
  const rows = $derived(question ? rowsOf(question.clashes) : []);
  const sides = [
    { key: "mine", head: m.elsewhere_here },
    { key: "theirs", head: m.elsewhere_there },
  ] as const;

  let cuts = $state.raw<Partial<Record<"mine" | "theirs", Cut>>>({});
  $effect(() => {
    const specs = question?.specs;
    cuts = {};
    if (specs) void Promise.all([draw("mine", specs.mine), draw("theirs", specs.theirs)]);
  });
  // What cannot be worked is not drawn; its figures stand there all the same.
  async function draw(side: "mine" | "theirs", spec: BatchSpec) {
    const { data } = await call(() => api.POST("/api/plan", { body: spec }));
    if (data && question?.specs?.[side] === spec) cuts = { ...cuts, [side]: data.section };
  }
  const drawn = $derived(Object.values(cuts));
  // Two that look the same show nothing.
  const alike = $derived(same(cuts.mine, cuts.theirs));
  const scale = $derived({
    across: Math.max(1, ...drawn.map((c) => c.across)),
    thickness: Math.max(1, ...drawn.map((c) => c.thickness)),
  });
</script>

<Dialog
  open={question !== null}
  title={m.elsewhere_title()}
  says={question ? m.elsewhere_says({ name: question.name }) : ""}
  wide="wide"
  testid="elsewhere"
  stays
  onclose={() => question?.answer(null)}
>
  {#if question}
    <table class="w-full table-fixed border-collapse text-lead">
      <thead>
        <tr class="rim-b text-start font-head">
          <td class="w-[30%] max-sm:hidden"></td>
          {#each sides as { key, head } (key)}
            <th scope="col" class="py-1.5 text-start align-bottom font-bold" class:text-rim={key === "mine"}>
              {head()}
              {#if drawn.length === 2 && !alike && cuts[key]}<div class="overflow-hidden pe-3 pt-1">
                  <Section section={cuts[key]} height={46} small scaleOf={scale} />
                </div>{/if}
            </th>
          {/each}
        </tr>
      </thead>
      {#each rows.slice(0, MOST) as row (row.label + row.mine + row.theirs)}
        <tbody>
          <tr class="sm:hidden"
            ><th scope="rowgroup" colspan="2" class="pt-2 text-start text-body font-medium text-mute">{row.label}</th></tr
          >
          <tr class="border-b border-line" data-differs>
            <th scope="row" class="py-2 pe-3 text-start text-body font-medium text-mute max-sm:hidden">{row.label}</th>
            <td class="py-2 pe-3 font-head font-bold text-rim">{row.mine}</td>
            <td class="py-2 font-head font-bold">{row.theirs}</td>
          </tr>
        </tbody>
      {/each}
    </table>
    {#if rows.length > MOST}<p class="text-mute">{m.elsewhere_more({ count: rows.length - MOST })}</p>{/if}
    <p class="text-small text-mute">{m.elsewhere_rest()}</p>
    <div class="sticky bottom-0 -mb-1 flex flex-wrap gap-2 bg-enamel pt-1 pb-1 max-sm:grid max-sm:grid-cols-2">
      <button class="button strong" onclick={() => question.answer("mine")}>{m.elsewhere_mine()}</button>
      <button class="button" onclick={() => question.answer("theirs")}>{m.elsewhere_theirs()}</button>
      {#if question.two}<button class="button" onclick={() => question.answer("both")}>{m.elsewhere_both()}</button>{/if}
      <DialogClose class="button plain sm:ms-auto" words={m.elsewhere_later()} />
    </div>
  {/if}
</Dialog>
