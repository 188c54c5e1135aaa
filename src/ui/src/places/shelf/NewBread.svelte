<script lang="ts">
  import { larder } from "../../api/larder.svelte";
  import type { LarderView } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Dialog from "../../parts/Dialog.svelte";
  import DialogClose from "../../parts/DialogClose.svelte";

  type School = LarderView["schools"][number];
  let { onpick, onclose }: { onpick: (school: School) => void; onclose: () => void } = $props();

  const words: Record<string, [() => string, () => string]> = {
    plain: [m.school_plain, m.school_plain_how],
    waterFirst: [m.school_water_first, m.school_water_first_how],
    halves: [m.school_halves, m.school_halves_how],
    letters: [m.school_letters, m.school_letters_how],
    stripCoil: [m.school_strip_coil, m.school_strip_coil_how],
    coils: [m.school_coils, m.school_coils_how],
    stretched: [m.school_stretched, m.school_stretched_how],
    envelope: [m.school_envelope, m.school_envelope_how],
    cone: [m.school_cone, m.school_cone_how],
    strips: [m.school_strips, m.school_strips_how],
    ribbons: [m.school_ribbons, m.school_ribbons_how],
    enclosed: [m.school_enclosed, m.school_enclosed_how],
    starchLog: [m.school_starch_log, m.school_starch_log_how],
    parcel: [m.school_parcel, m.school_parcel_how],
    stuffed: [m.school_stuffed, m.school_stuffed_how],
    puree: [m.school_puree, m.school_puree_how],
    batter: [m.school_batter, m.school_batter_how],
  };
</script>

<Dialog open title={m.new_from()} {onclose}>
  <ul class="grid gap-2 sm:grid-cols-2">
    {#each larder.view?.schools ?? [] as school (school.id)}
      <li>
        <button
          class="h-full min-h-16 w-full rounded-xl border-2 border-rim-soft bg-white px-4 py-2 text-start hover:border-rim"
          onclick={() => {
            onclose();
            onpick(school);
          }}
        >
          <b class="block text-lead">{words[school.id]?.[0]() ?? school.id}</b>
          <span class="text-small text-mute">{words[school.id]?.[1]()}</span>
        </button>
      </li>
    {/each}
  </ul>
  <DialogClose class="button mt-1 w-full" />
</Dialog>
