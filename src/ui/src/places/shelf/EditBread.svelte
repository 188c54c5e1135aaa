<script lang="ts">
  import { Dialog } from "bits-ui";
  import { api, refusalsOf } from "../../api/client";
  import type { BreadView, Refusal } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { toaster } from "../../toast.svelte";
  import { say } from "../../words/refusals";

  interface Props {
    bread: BreadView;
    onclose: () => void;
    onkept: () => Promise<void>;
  }
  let { bread, onclose, onkept }: Props = $props();
  // The dialog is keyed by its bread, so what it starts from never changes under it.
  // svelte-ignore state_referenced_locally
  const before = bread;
  let name = $state(before.name);
  let about = $state(before.about);
  let tags = $state(before.tags.join(", "));
  let refusals = $state.raw<Refusal[]>([]);
  const put = (body: { name: string; about: string; tags: string[] }) =>
    api.PUT("/api/breads/{id}", { params: { path: { id: before.id } }, body: { ...body, spec: before.spec } });

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    const { data, error } = await put({ name, about, tags: tags.split(",") });
    if (!data) return (refusals = refusalsOf(error));
    await onkept();
    onclose();
    toaster.say(m.bread_kept({ name: data.name }), async () => {
      await put(before);
      await onkept();
    });
  }

  const refusalOf = (field: string) => refusals.find((r) => r.field.startsWith(field));
</script>

{#snippet problem(field: string)}
  {@const refusal = refusalOf(field)}
  {#if refusal}<span class="refusal" id="edit-{field}"
      >{field === "name" && refusal.code === "missing" ? m.refuse_name() : say(refusal)}</span
    >{/if}
{/snippet}

<Dialog.Root open onOpenChange={(open) => !open && onclose()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-ink/40" />
    <Dialog.Content class="tray fixed inset-x-3 top-[10vh] z-50 mx-auto max-w-lg p-5">
      <Dialog.Title class="mb-3 text-title leading-none font-bold">{m.edit_bread()}</Dialog.Title>
      <form class="grid gap-3" onsubmit={keep} novalidate>
        <label class="grid gap-1"
          >{m.item_name()}<input
            class="field"
            maxlength="80"
            bind:value={name}
            aria-invalid={refusalOf("name") ? "true" : undefined}
          /></label
        >
        {@render problem("name")}
        <label class="grid gap-1">{m.about()}<textarea class="field h-20 py-2" maxlength="400" bind:value={about}></textarea></label>
        <label class="grid gap-1">{m.tags()}<input class="field" maxlength="240" bind:value={tags} /></label>
        {@render problem("tags")}
        <div class="mt-1 flex gap-2">
          <button class="button strong flex-1" type="submit">{m.keep()}</button>
          <Dialog.Close class="button flex-1">{m.close()}</Dialog.Close>
        </div>
      </form>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
