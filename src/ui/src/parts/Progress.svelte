<script lang="ts">
  import { Progress } from "bits-ui";

  /** How far something is, with words that are said when they change. */
  interface Props {
    label: string;
    value: number;
    most: number;
  }
  let { label, value, most }: Props = $props();
  const id = $props.id();
</script>

<div class="grid gap-1">
  <span {id} role="status">{label}</span>
  <Progress.Root {value} max={most} aria-labelledby={id} class="rim h-4.5 overflow-hidden rounded-field bg-enamel">
    <div class="h-full bg-rim" style:width="{(100 * value) / most}%"></div>
  </Progress.Root>
</div>
