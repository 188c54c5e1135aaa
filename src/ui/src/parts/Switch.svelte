<script lang="ts">
  import { Switch } from "bits-ui";
  import { m } from "../paraglide/messages";

  /** On or off, at once. */
  interface Props {
    label: string;
    checked: boolean;
    /** What it is a switch of, where several stand with the same words. */
    of?: string;
    disabled?: boolean;
    onchange: (on: boolean) => void;
  }
  let { label, checked, of, disabled = false, onchange }: Props = $props();
  const id = $props.id();
</script>

<span class="inline-flex min-h-target items-center gap-3">
  <Switch.Root
    {id}
    {checked}
    {disabled}
    aria-label={of ? m.choice_of({ label, value: of }) : undefined}
    onCheckedChange={onchange}
    class="relative inline-flex h-8 w-14 shrink-0 items-center rounded-full border-2 border-rim bg-white p-0.5 before:absolute before:-inset-2 before:content-[''] data-[state=checked]:bg-rim"
  >
    <Switch.Thumb
      class="size-6 rounded-full bg-rim transition-transform data-[state=checked]:translate-x-6 data-[state=checked]:bg-white rtl:data-[state=checked]:-translate-x-6"
    />
  </Switch.Root>
  <label for={id} class="cursor-pointer content-center self-stretch">{label}</label>
</span>
