<script lang="ts">
  import { Command, Popover } from "bits-ui";
  import Check from "@lucide/svelte/icons/check";
  import ChevronDown from "@lucide/svelte/icons/chevron-down";
  import { larder } from "../api/larder.svelte";
  import { batch } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import { shortName } from "../words/names";

  interface Props {
    label: string;
    /** Path in the spec; what it takes comes from the core. */
    field: string;
    value: string;
    /** How the spec changes with it. */
    onchange?: (id: string) => void;
    /** In the place of `onchange`, where what follows goes by the sheet. */
    onpick?: (id: string) => void;
    /** Shown in the label's place when the pick stands in a line of its own. */
    bare?: boolean;
    /** Words instead of the picked name, for a pick that adds. */
    prompt?: string;
    /** Ids that are taken already. */
    except?: string[];
    /** What stands small beside a choice. */
    hint?: ((id: string) => string) | undefined;
  }
  let { label, field, value, onchange, onpick, bare = false, prompt, except = [], hint }: Props = $props();
  // A larder can hold thousands: a list shows as many as can be looked through, the finding does the rest.
  const MOST_SHOWN = 80;
  // With few to choose from there is nothing to type, and no keyboard comes up on a tablet.
  const FEW = 16;
  let open = $state(false);
  let find = $state("");
  const id = $props.id();
  let list = $state<HTMLElement | null>(null);
  const choices = $derived(open ? larder.choices(field).filter((i) => i.id === value || !except.includes(i.id)) : []);
  const found = $derived(choices.filter((i) => i.name.toLowerCase().includes(find.trim().toLowerCase())).slice(0, MOST_SHOWN));

  function pick(id: string) {
    open = false;
    if (id === value) return;
    if (onpick) onpick(id);
    else batch.change(() => onchange?.(id));
  }
</script>

<div class="min-w-0">
  {#if !bare}<span class="mb-1 block leading-tight" aria-hidden="true">{label}</span>{/if}
  <Popover.Root bind:open onOpenChange={() => (find = "")}>
    <Popover.Trigger
      aria-label={prompt ?? `${label}: ${shortName(value)}`}
      class="field flex w-full min-w-0 items-center justify-between gap-2 text-start {bare
        ? '!border-transparent !bg-transparent !px-0'
        : ''}"
    >
      <span class={prompt ? "font-semibold text-rim" : "line-clamp-2 min-w-0 leading-tight"}>{prompt ?? shortName(value)}</span>
      <ChevronDown size={16} class="shrink-0 text-mute" aria-hidden="true" />
    </Popover.Trigger>
    <Popover.Portal to="main">
      <Popover.Content
        class="tray z-50 w-80 !rounded-xl p-1 shadow-lg"
        sideOffset={4}
        aria-label={prompt ?? label}
        onOpenAutoFocus={(e) => {
          if (choices.length > FEW) return;
          e.preventDefault();
          list?.focus();
        }}
      >
        <Command.Root
          bind:ref={list}
          label={prompt ?? label}
          shouldFilter={false}
          value={value || undefined}
          class="outline-none"
          tabindex={-1}
        >
          {#if choices.length > FEW}
            <Command.Input
              class="field mb-1 w-full"
              placeholder={m.find_item()}
              aria-label={m.find_item()}
              aria-expanded="true"
              aria-controls={id}
              bind:value={find}
            />
          {/if}
          <Command.List {id} tabindex={0} class="max-h-72 overflow-y-auto" aria-label={prompt ?? label}>
            {#each found as item (item.id)}
              <Command.Item
                value={item.id}
                keywords={[item.name]}
                onSelect={() => pick(item.id)}
                class="flex min-h-11 cursor-pointer items-center justify-between gap-3 rounded-lg px-3 py-1 leading-tight data-[selected]:bg-steel"
              >
                <span class={item.id === value ? "font-bold text-rim" : ""}>{item.name}</span>
                {#if item.id === value}<Check size={17} class="text-rim" aria-hidden="true" />
                {:else if hint?.(item.id)}<span class="text-end text-[13px] whitespace-nowrap text-mute">{hint(item.id)}</span>{/if}
              </Command.Item>
            {/each}
          </Command.List>
          {#if open && found.length === 0}<p class="px-3 py-2 text-mute">{m.none_in_larder({ find })}</p>{/if}
        </Command.Root>
      </Popover.Content>
    </Popover.Portal>
  </Popover.Root>
</div>
