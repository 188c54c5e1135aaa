<script lang="ts">
  import Wrench from "@lucide/svelte/icons/wrench";
  import { push } from "svelte-spa-router";
  import { call, newest, type Trouble as Why } from "../../api/call";
  import { api } from "../../api/client";
  import type { Complaint, Conviction, Outcome, Symptom } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Chips from "../../parts/Chips.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { toaster } from "../../toast.svelte";
  import { mendWords, wordsOf } from "../../words/notes";
  import { symptoms, why } from "../../words/record";
  import { surenessName, symptomName } from "../../words/symptoms";

  /** What was wrong, and what in this batch's own figures explains it. */
  interface Props {
    name: string;
    batchId: string;
    entryId?: string | undefined;
    breadId: string | null;
    outcome: Outcome;
    onpick: (faults: Symptom[] | null) => void;
  }
  let { name, batchId, entryId, breadId, outcome, onpick }: Props = $props();
  let complaints = $state.raw<Complaint[]>([]);
  let trouble = $state.raw<Why | null>(null);
  const only = newest();
  const faults = $derived(outcome.faults ?? null);
  // What is typed meanwhile changes what explains it.
  const question = $derived(JSON.stringify([faults, outcome.used, outcome.timed]));
  const MOST_CAUSES = 3;

  $effect(() => {
    void question;
    void explain();
  });

  async function explain() {
    if (!faults?.length) {
      complaints = [];
      trouble = null;
      return;
    }
    const body = { batchId, entryId: entryId ?? null, outcome: $state.snapshot(outcome) };
    const answer = await only(call(() => api.POST("/api/log/explain", { body })));
    // What cannot be is said beside its own figure.
    if (answer) trouble = answer.trouble?.kind === "refused" ? null : answer.trouble;
    if (answer?.data && faults?.length) complaints = answer.data;
  }

  // None and any exclude each other: what was pressed last counts. Nothing pressed is nothing said.
  function press(on: (Symptom | "none")[]) {
    if (on.includes("none") && faults?.length !== 0) return onpick([]);
    const some = on.filter((s) => s !== "none");
    onpick(some.length ? some : null);
  }

  async function lay(cause: Conviction) {
    batch.begin({ id: breadId, name, spec: cause.next });
    toaster.say(m.faults_laid({ name }));
    await push("/batch");
  }
</script>

<fieldset class="min-w-0">
  <legend class="mb-1 font-head text-body font-bold">{m.faults_head()}</legend>
  <div data-testid="symptoms">
    <Chips
      label={m.faults_head()}
      value={faults?.length === 0 ? ["none"] : (faults ?? [])}
      options={[{ value: "none" as const, label: m.faults_none() }, ...symptoms.map((s) => ({ value: s, label: symptomName[s]() }))]}
      onchange={press}
    />
  </div>
  <Trouble {trouble} again={explain} />
  {#if complaints.length > 0}
    <section class="mt-2 grid gap-2" aria-label={m.faults_why()} aria-live="polite" data-testid="complaints">
      {#each complaints as { symptom, causes } (symptom)}
        <div data-complaint={symptom}>
          <h3 class="text-body font-bold">{symptomName[symptom]()}</h3>
          {#each causes.slice(0, MOST_CAUSES) as cause (cause.note.code)}
            {@const said = wordsOf(cause.note)}
            <div class="flex gap-2.5 border-b border-line py-1.5 text-small leading-[1.35] last:border-0" data-cause={cause.note.code}>
              <!-- How sure it is: a bar that grows. -->
              <span class="mt-0.5 flex h-10 w-2 shrink-0 flex-col justify-end rounded-sm bg-line" aria-hidden="true"
                ><span class="rounded-sm bg-chilli" style:height="{Math.round(cause.score * 100)}%"></span></span
              >
              <div class="min-w-0 flex-1">
                <p class="font-head font-bold">
                  {said.head} <span class="font-text text-fine font-normal text-mute">{surenessName[cause.sure]()}</span>
                </p>
                <p>{why[cause.note.code]?.()} <span class="text-mute">{said.more}</span></p>
                {#if cause.byHand}<p class="text-mute">{m.faults_by_hand()}</p>{/if}
              </div>
              {#if cause.change || cause.byHand}
                <button
                  class="button max-w-52 shrink-0 self-center px-2.5 text-small leading-tight"
                  type="button"
                  onclick={() => void lay(cause)}
                  ><Wrench size={15} class="shrink-0" aria-hidden="true" /><span
                    >{#if cause.change}<span class="block text-fine text-mute">{m.faults_next()}</span>{mendWords(
                        cause.change,
                      )}{:else}{m.faults_as_planned()}{/if}</span
                  ></button
                >
              {:else}<span class="max-w-40 shrink-0 self-center text-fine text-mute">{m.faults_no_change()}</span>{/if}
            </div>
          {:else}
            <p class="text-small">
              {m.faults_nothing({ symptom: symptomName[symptom].within() })} <span class="text-mute">{m.faults_nothing_more()}</span>
            </p>
          {/each}
        </div>
      {/each}
    </section>
  {/if}
</fieldset>
