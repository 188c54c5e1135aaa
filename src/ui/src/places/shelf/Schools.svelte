<script lang="ts">
  import { call } from "../../api/call";
  import { api } from "../../api/client";
  import { Fetched } from "../../api/fetched.svelte";
  import type { SchoolView } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Trouble from "../../parts/Trouble.svelte";
  import Section from "../../section/Section.svelte";
  import { amount, beside } from "../../words/format";
  import { madeOf } from "../../words/made";
  import { schoolHow, schoolName } from "../../words/names/schools";

  /** The schools as pictures, from the plainest to the finest: what a bread can begin from. */
  interface Props {
    onpick: (school: SchoolView) => void;
    onknown?: (schools: SchoolView[]) => void;
  }
  let { onpick, onknown }: Props = $props();
  const MOST = 5;
  const schools = new Fetched(() => call(() => api.GET("/api/schools")));
  void schools.fetch();
  $effect(() => {
    if (schools.data) onknown?.(schools.data);
  });
  const biggest = $derived({
    across: Math.max(...(schools.data ?? []).map((s) => s.glance.section.across), 1),
    thickness: Math.max(...(schools.data ?? []).map((s) => s.glance.section.thickness), 1),
  });
</script>

<Trouble trouble={schools.trouble} again={schools.fetch} />
<ul class="grid gap-2.5 sm:grid-cols-2 lg:grid-cols-3">
  {#each schools.data ?? [] as school (school.id)}
    <li>
      <button
        class="flex h-full w-full flex-col rounded-xl border-2 border-rim-soft bg-white px-3.5 py-2 text-start hover:border-rim"
        onclick={() => onpick(school)}
      >
        <b class="block text-lead leading-tight">{schoolName(school.id)}</b>
        <span class="text-small leading-tight text-mute">{schoolHow(school.id)}</span>
        <span class="mt-auto block w-full pt-1"><Section section={school.glance.section} height={46} small scaleOf={biggest} /></span>
        <span class="flex w-full flex-wrap justify-between gap-x-3 text-fine">
          <span>{beside(madeOf(school.glance.section, school.glance.leaves), m.school_hands({ time: amount(school.hands, "s") }))}</span>
          <span aria-label={m.school_difficulty({ level: school.difficulty, most: MOST })} role="img"
            >{"●".repeat(school.difficulty)}<span class="text-rim-soft">{"●".repeat(MOST - school.difficulty)}</span></span
          >
        </span>
      </button>
    </li>
  {/each}
</ul>
