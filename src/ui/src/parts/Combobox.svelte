<script lang="ts" generics="T extends string">
  import { Command, Popover } from "bits-ui";
  import Check from "@lucide/svelte/icons/check";
  import ChevronDown from "@lucide/svelte/icons/chevron-down";
  import { m } from "../paraglide/messages";
  import { folded } from "../words/find";

  /** One of a list that opens and, where it is long, is found in by typing. */
  interface Props {
    label: string;
    value: T;
    options: readonly { value: T; label: string; hint?: string }[];
    /** What the trigger shows for what is chosen, where that is shorter than in the list. */
    shown?: string;
    /** In the label's place, without a frame: it stands in a line of its own. */
    bare?: boolean;
    /** The label is for those who cannot see what stands beside it. */
    hideLabel?: boolean;
    /** Its label is as small as a figure's in a form. */
    quiet?: boolean;
    /** Words instead of what is chosen, for one that adds. */
    prompt?: string;
    /** What is said when nothing is found. */
    none?: (find: string) => string;
    class?: string;
    onopen?: () => void;
    onchange: (value: T) => void;
  }
  let {
    label,
    value,
    options,
    shown,
    bare = false,
    quiet = false,
    hideLabel = false,
    prompt,
    none = (find) => m.none_found({ find }),
    class: look = "",
    onopen,
    onchange,
  }: Props = $props();
  // A larder can hold thousands: a list shows as many as can be looked through, the finding does the rest.
  const MOST_SHOWN = 80;
  // With few to choose from there is nothing to type, and no keyboard comes up on a tablet.
  const FEW = 16;
  let open = $state(false);
  let find = $state("");
  const id = $props.id();
  let list = $state<HTMLElement | null>(null);
  const found = $derived(open ? options.filter((o) => folded(o.label).includes(folded(find))).slice(0, MOST_SHOWN) : []);
  const text = $derived(shown ?? options.find((o) => o.value === value)?.label ?? "");

  function pick(chosen: T) {
    open = false;
    if (chosen !== value) onchange(chosen);
  }
</script>

<div class="min-w-0 {look}">
  {#if !bare && !hideLabel}<span class={quiet ? "block text-small leading-tight text-mute" : "mb-1 block leading-tight"} aria-hidden="true"
      >{label}</span
    >{/if}
  <Popover.Root
    bind:open
    onOpenChange={(now) => {
      find = "";
      if (now) onopen?.();
    }}
  >
    <Popover.Trigger
      aria-label={prompt ?? m.choice_of({ label, value: text })}
      class="field flex w-full min-w-0 items-center justify-between gap-2 text-start {bare ? 'border-transparent bg-transparent px-0' : ''}"
    >
      <span class={prompt ? "font-semibold text-rim" : "line-clamp-2 min-w-0 leading-tight"}>{prompt ?? text}</span>
      <ChevronDown size={16} class="shrink-0 text-mute" aria-hidden="true" />
    </Popover.Trigger>
    <Popover.Portal>
      <Popover.Content
        class="sheet max-h-(--bits-popover-content-available-height) w-80 overflow-y-auto"
        sideOffset={4}
        aria-label={prompt ?? label}
        onOpenAutoFocus={(e) => {
          if (options.length > FEW) return;
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
          {#if options.length > FEW}
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
            {#each found as option (option.value)}
              <Command.Item
                value={option.value}
                keywords={[option.label]}
                onSelect={() => pick(option.value)}
                class="flex min-h-target cursor-pointer items-center justify-between gap-3 rounded-inner px-3 py-1 leading-tight data-selected:bg-steel"
              >
                <span class={option.value === value ? "font-bold text-rim" : ""}>{option.label}</span>
                {#if option.value === value}<Check size={17} class="shrink-0 text-rim" aria-hidden="true" />
                {:else if option.hint}<span class="text-end text-fine whitespace-nowrap text-mute">{option.hint}</span>{/if}
              </Command.Item>
            {/each}
          </Command.List>
          {#if open && found.length === 0}<p class="px-3 py-2 text-mute">{none(find)}</p>{/if}
        </Command.Root>
      </Popover.Content>
    </Popover.Portal>
  </Popover.Root>
</div>
