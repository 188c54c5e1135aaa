<script lang="ts" generics="K extends string">
  /** Which kind of step is to be added. */
  interface Props {
    title: string;
    /** Kinds in groups; one group needs no name. */
    groups: { name?: () => string; kinds: K[] }[];
    name: (kind: K) => string;
    onpick: (kind: K) => void;
  }
  let { title, groups, name, onpick }: Props = $props();
</script>

<div class="rounded-xl bg-steel/60 px-3.5 py-2.5">
  <h2 class="mb-1.5 text-body font-bold">{title}</h2>
  <div class="grid gap-2">
    {#each groups as group (group.kinds[0])}
      <div class="flex flex-wrap items-center gap-1.5">
        {#if group.name}<span class="w-28 text-small text-mute">{group.name()}</span>{/if}
        {#each group.kinds as kind (kind)}
          <button class="button border-rim-soft px-2.5" onclick={() => onpick(kind)}>{name(kind)}</button>
        {/each}
      </div>
    {/each}
  </div>
</div>
