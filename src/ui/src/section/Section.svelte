<script lang="ts">
  import type { Section } from "../api/types";
  import { m } from "../paraglide/messages";
  import { amount, leaves as leafWords, listed } from "../words/format";
  import { draw, FINE } from "./geometry";
  import { leafShades } from "./look";

  interface Props {
    section: Section;
    height?: number;
    small?: boolean;
    /** The biggest of a row of sections, so that all are drawn to its scale. */
    scaleOf?: Pick<Section, "across" | "thickness">;
    /** The bread it is a piece of, for a section without colours of its own. */
    look?: Section["look"];
  }
  let { section: cut, height = 150, small = false, scaleOf, look }: Props = $props();
  const section = $derived(cut.look || !look ? cut : { ...cut, look });

  let width = $state(0);
  const drawing = $derived(width > 0 ? draw(section, width, height, scaleOf) : null);
  const contacts = $derived(section.rings?.contacts ?? section.contacts);
  const fused = $derived(contacts.filter((c) => c.state === "fused").length);
  const patchy = $derived(contacts.filter((c) => c.state === "patchy").length);
  const label = $derived(
    listed(
      [
        section.rings ? m.rings_count({ count: section.rings.each.length }) : leafWords(section.leaves.length),
        section.filling ? m.filling_layer({ thickness: amount(section.filling.thickness, "mm") }) : "",
        fused ? m.welded({ count: fused }) : "",
        patchy ? m.patchy({ count: patchy }) : "",
      ].filter(Boolean),
    ),
  );
  const tints = $derived(
    section.look ? leafShades(section.look.dough) : ["var(--color-leaves-1)", "var(--color-leaves-2)", "var(--color-leaves-3)"],
  );
  // One change melts into the next state; while figures are being dragged or typed each is drawn at once. So are hundreds of leaves.
  const SETTLED_MS = 400;
  let changedAt = 0;
  let settled = $state(true);
  $effect.pre(() => {
    void section;
    const now = performance.now();
    settled = now - changedAt > SETTLED_MS;
    changedAt = now;
  });
  const melts = $derived(settled && section.leaves.length + contacts.length <= FINE);

  export const taller = () => drawing?.taller ?? 0;
</script>

<div bind:clientWidth={width} style:height="{height}px" class="w-full" data-testid="section">
  {#if drawing}
    <svg {width} {height} role="img" aria-label={m.section_of({ what: label })} class:melts>
      {#if section.filling}<path d={drawing.crust} style:fill={tints[0]} />{/if}
      {#each drawing.leaves as leaf, i (i)}<path d={leaf} fill={tints[i % 3]} data-leaf />{/each}
      {#each drawing.flecks as { hue, path }, i (i)}<path d={path} style:fill={hue} data-fleck />{/each}
      {#each drawing.contacts as contact, i (i)}
        {@const { state, fat, dust } = contact}
        {#if state === "fused"}
          <path d={contact.path} class="weld" data-contact="fused" />
          <path d={contact.stitches} class="stitch" stroke-width={small ? 1 : 1.6} />
        {:else}
          <path
            d={contact.path}
            class={fat ? "fat" : "flour"}
            stroke-width={fat ? contact.width : 1.6}
            stroke-dasharray={state === "patchy" ? "9 7" : fat ? undefined : "1 3"}
            data-contact={state}
          />
          {#if fat && dust && contact.width >= 2}<path d={contact.path} class="flour" stroke-width="1.2" stroke-dasharray="1 5" />{/if}
        {/if}
      {/each}
      {#each drawing.fillings as filling, i (i)}<path
          d={filling}
          class="filling"
          style:fill={section.look?.filling?.hue}
          data-filling
        />{/each}
      {#each drawing.lumps as { hue, path }, i (i)}<path d={path} style:fill={hue} class="bits" data-bits />{/each}
      {#if drawing.windings}<path d={drawing.windings} class="crust" stroke-width="1.2" stroke-dasharray="6 5" data-windings />{/if}
      <path d={drawing.crust} class="crust" stroke-width={small ? 1.6 : 2.4} />
    </svg>
  {/if}
</div>

<style>
  path:not([data-leaf]) {
    fill: none;
  }
  path.filling {
    fill: var(--color-filling);
  }
  path.bits {
    stroke: var(--color-shade);
    stroke-width: 0.5;
  }
  .melts path {
    transition: d 160ms ease-out;
  }
  .fat {
    stroke: var(--color-ghee);
  }
  .flour {
    stroke: white;
    stroke-linecap: round;
  }
  .weld {
    stroke: var(--color-weld);
    stroke-width: 0.8;
    stroke-dasharray: 2 4;
  }
  .stitch {
    stroke: var(--color-chilli);
  }
  .crust {
    stroke: var(--color-crust);
    stroke-linejoin: round;
  }
</style>
