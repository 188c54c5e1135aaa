<script lang="ts">
  let { label, value, tone = "", note = "" }: { label: string; value: string; tone?: "" | "bad" | "good"; note?: string } = $props();
</script>

<div class="min-w-0">
  <dt class="text-fine leading-tight text-mute">{label}</dt>
  <dd class="font-head text-figure leading-tight font-bold {tone === 'bad' ? 'text-chilli' : tone === 'good' ? 'text-leaf' : ''}">
    {value}{#if note}<span class="ms-2 font-text text-body font-normal text-mute">{note}</span>{/if}
  </dd>
</div>
