<script lang="ts">
  let { label, value, tone = "" }: { label: string; value: string; tone?: "" | "bad" | "good" } = $props();
</script>

<div class="min-w-0">
  <dt class="text-[13px] leading-tight text-mute">{label}</dt>
  <dd class="font-head text-[21px] leading-tight font-bold {tone === 'bad' ? 'text-chilli' : tone === 'good' ? 'text-leaf' : ''}">
    {value}
  </dd>
</div>
