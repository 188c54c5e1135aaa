<script lang="ts">
  import Pencil from "@lucide/svelte/icons/pencil";
  import { batch } from "../../bench/bench.svelte";
  import { live } from "../../live/live.svelte";
  import { narrow } from "../../narrow";
  import { m } from "../../paraglide/messages";
  import { storage } from "../../storage.svelte";
  import { amount, clock } from "../../words/format";
  import { keepingWords } from "../../words/trouble";
  import BatchActions from "../BatchActions.svelte";

  /** What the batch is called, and whether the kitchen has it. */
  let { onsettle }: { onsettle: () => void } = $props();
  const sheet = $derived(batch.sheet);
  const notKept = $derived(keepingWords(batch.keeping, batch.keepingTrouble));
</script>

<label class="sr-only" for="batch-name">{m.batch_name()}</label>
<span class="-my-2 flex items-center">
  <input
    id="batch-name"
    class="peer -ms-1 min-h-11 min-w-0 w-full rounded-md bg-transparent px-1 font-head text-big leading-tight font-bold"
    value={batch.name}
    oninput={(e) => batch.change(() => (batch.name = e.currentTarget.value))}
    maxlength="80"
    aria-invalid={batch.refusalOf("name") ? "true" : undefined}
  />
  <Pencil size={16} class="me-3 shrink-0 text-mute peer-focus:hidden" aria-hidden="true" />
  {#if narrow.current}<BatchActions />{/if}
</span>
{#if batch.refusalOf("name")}<p class="refusal">{m.refuse_name()}</p>{/if}
<p class="mt-0.5 mb-1 text-fine text-mute lg:mb-2">
  {#if sheet}{m.pieces_of({ count: sheet.balls.count, across: amount(sheet.roll.across, "mm") })}{/if}
  <span data-testid="keeping" data-keeping={batch.keeping}>
    · {batch.keeping === "kept" && batch.keptAt
      ? m.kept_at({ time: clock(batch.keptAt) })
      : notKept || (batch.keeping === "new" ? m.not_changed_yet() : m.keeping())}{storage.works ? "" : ` · ${m.keeps_nothing()}`}
  </span>
  <!-- That it is kept is seen, not said at each change; that it is not is said. -->
  <span class="sr-only" role="status">{notKept}</span>
  {#if live.line === "down" || live.line === "full"}<span data-testid="line" data-line={live.line}
      >· {live.line === "full" ? m.line_full() : m.line_down()}</span
    >{/if}
  {#if batch.differs}<button class="button min-h-11 px-2.5 text-small" onclick={onsettle}>{m.settle()}</button>{/if}
</p>
