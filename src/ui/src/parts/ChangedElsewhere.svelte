<script lang="ts">
  import { m } from "../paraglide/messages";
  import Dialog from "./Dialog.svelte";
  import DialogClose from "./DialogClose.svelte";
  import SideBySide from "./SideBySide.svelte";
  import { elsewhere } from "../versions/elsewhere.svelte";

  /** Two screens changed the same: both sets of figures side by side, and whose go on. */
  const question = $derived(elsewhere.question);
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
    <SideBySide clashes={question.clashes} specs={question.specs} heads={{ mine: m.elsewhere_here(), theirs: m.elsewhere_there() }} />
    <p class="text-small text-mute">{m.elsewhere_rest()}</p>
    <div class="sticky bottom-0 -mb-1 flex flex-wrap gap-2 bg-enamel pt-1 pb-1 max-sm:grid max-sm:grid-cols-2">
      <button class="button strong" onclick={() => question.answer("mine")}>{m.elsewhere_mine()}</button>
      <button class="button" onclick={() => question.answer("theirs")}>{m.elsewhere_theirs()}</button>
      {#if question.two}<button class="button" onclick={() => question.answer("both")}>{m.elsewhere_both()}</button>{/if}
      <DialogClose class="button plain sm:ms-auto" words={m.elsewhere_later()} />
    </div>
  {/if}
</Dialog>
