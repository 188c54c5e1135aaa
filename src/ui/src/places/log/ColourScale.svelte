<script lang="ts">
  import { larder } from "../../api/larder.svelte";
  import type { FacesView } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { tintOf } from "../../section/tint";
  import { darkName, faceIsName, lookName } from "../../words/names/pan";

  /** Raw to charred: where each photographed face has come to, where it was to come to, where it was wanted. */
  let { view }: { view: FacesView } = $props();
  const end = 3.2;
  const at = (dark: number) => `${((100 * Math.min(dark, end)) / end).toFixed(2)}%`;
  const steps = Array.from({ length: 24 }, (_, i) => ((i + 0.5) / 24) * end);
  // Raw and very dark are what lies between: there is no room for their words.
  const between = ["raw", "dark"];
  const looks = $derived((larder.view?.looks ?? []).filter((l) => !between.includes(l.look)));
  const seen = $derived(view.faces.filter((f) => f.trouble === "none"));
  const plannedOf = (is: string) => (is === "first" ? view.planned[0] : is === "second" ? view.planned[1] : undefined);
</script>

<figure class="min-w-0" data-testid="colour-scale">
  <div class="relative pt-6.5 pb-5.5">
    {#each seen as face (face.is)}
      <span
        class="absolute top-0 -translate-x-1/2 text-center rtl:translate-x-1/2 text-fine leading-none font-bold whitespace-nowrap"
        style:inset-inline-start={at(face.dark)}>{faceIsName[face.is]()}<br />▼</span
      >
    {/each}
    <div class="flex h-5.5 overflow-hidden rounded-md" aria-hidden="true">
      {#each steps as dark (dark)}<span class="flex-1" style:background={tintOf(dark)}></span>{/each}
    </div>
    {#each seen as face (face.is)}
      {@const planned = plannedOf(face.is)}
      {#if planned != null}<span class="absolute top-5.5 h-7.5 border-s-2 border-dashed border-rim" style:inset-inline-start={at(planned)}
        ></span>{/if}
    {/each}
    {#each looks as look (look.look)}
      {#if look.from < end}<span class="absolute bottom-0 text-fine leading-none text-mute" style:inset-inline-start={at(look.from)}
          >{lookName[look.look]()}</span
        >{/if}
    {/each}
  </div>
  {#each view.faces as face (face.is)}
    {#if face.trouble === "none"}
      {@const planned = plannedOf(face.is)}
      <p class="text-body" data-testid="colour-{face.is}">
        {faceIsName[face.is]()}: <b>{darkName(face.dark)}</b>{#if planned != null}, {m.colour_against({ planned: darkName(planned) })}{/if}
      </p>
    {/if}
  {/each}
</figure>
