<script lang="ts">
  import CircleCheck from "@lucide/svelte/icons/circle-check";
  import Eye from "@lucide/svelte/icons/eye";
  import Flame from "@lucide/svelte/icons/flame";
  import TriangleAlert from "@lucide/svelte/icons/triangle-alert";
  import type { Note } from "../api/types";
  import { m } from "../paraglide/messages";
  import { wordsOf } from "../words/notes";

  /** The first line of a note, with the sign of what it is. */
  interface Props {
    note: Note;
    /** Cut off where one line ends. */
    line?: boolean;
  }
  let { note, line = false }: Props = $props();
  const signs = {
    wrong: { icon: TriangleAlert, tint: "text-chilli", word: m.weight_wrong },
    watch: { icon: Eye, tint: "text-ghee-deep", word: m.weight_watch },
    right: { icon: CircleCheck, tint: "text-leaf", word: m.weight_right },
    caution: { icon: Flame, tint: "text-ink", word: m.weight_caution },
  };
  const { icon: Icon, tint, word } = $derived(signs[note.severity]);
</script>

<span class="flex min-w-0 items-start gap-1.5 font-head font-bold">
  <Icon size={16} class="mt-px shrink-0 {tint}" aria-hidden="true" />
  <span class={line ? "truncate" : ""}><span class="sr-only">{word()}: </span>{wordsOf(note).head}</span>
</span>
