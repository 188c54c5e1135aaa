<script lang="ts">
  import { m } from "../../paraglide/messages";
</script>

<!-- What the fields of the bars are. -->
<p class="mt-1 flex flex-wrap gap-x-3 text-fine text-mute">
  <span><i class="key free"></i>{m.free_water()}</span><span><i class="key cells"></i>{m.cell_water()}</span><span
    ><i class="key held"></i>{m.held_water()}</span
  >
  <span><i class="key solids"></i>{m.solids()}</span><span><i class="key salt"></i>{m.salt_thread()}</span>
</p>

<style>
  .key {
    display: inline-block;
    width: 14px;
    height: 10px;
    margin-inline-end: 4px;
    border-radius: 3px;
  }
  .key.free {
    background: repeating-linear-gradient(135deg, var(--color-water-free) 0 4px, var(--color-water-free-soft) 4px 8px);
  }
  .key.cells {
    background: radial-gradient(circle at 4px 4px, var(--color-water-cell) 0 2.2px, transparent 2.8px) 0 0 / 8px 8px
      var(--color-water-cell-soft);
  }
  .key.held {
    background: var(--color-water-held);
  }
  .key.solids {
    background: var(--color-filling);
  }
  .key.salt {
    height: 3px;
    vertical-align: middle;
    background: var(--color-ink);
  }
</style>
