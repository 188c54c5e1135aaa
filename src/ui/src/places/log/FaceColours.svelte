<script lang="ts">
  import X from "@lucide/svelte/icons/x";
  import { call, newest, type Trouble as Why } from "../../api/call";
  import { api } from "../../api/client";
  import type { FaceIs, FacePhoto, FacesView } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Segments from "../../parts/Segments.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { faceIsName, faceTroubleName } from "../../words/names/pan";
  import ColourScale from "./ColourScale.svelte";
  import { dotsOf, quartersOf, REACH } from "./patches";

  /** The colour a photographed face has reached: the cook touches something white beside it, then the face. */
  interface Props {
    photoId: string | null;
    faces: FacePhoto[] | null;
    batchId: string;
    entryId: string | undefined;
    label: string;
  }
  let { photoId, faces = $bindable(), batchId, entryId, label }: Props = $props();

  type Spot = { x: number; y: number };
  let open = $state(false);
  let is = $state<FaceIs>("first");
  let white = $state.raw<Spot | null>(null);
  let face = $state.raw<Spot | null>(null);
  let image = $state<HTMLImageElement>();
  let view = $state.raw<FacesView | null>(null);
  let trouble = $state.raw<Why | null>(null);
  const kinds = (Object.keys(faceIsName) as FaceIs[]).map((value) => ({ value, label: faceIsName[value]() }));
  const latest = newest();

  $effect(() => {
    const asked = faces ?? [];
    if (asked.length === 0) view = null;
    else void read($state.snapshot(asked));
  });

  async function read(asked: FacePhoto[]) {
    const body = { batchId: batchId || null, entryId: entryId ?? null, faces: asked };
    const answer = await latest(call(() => api.POST("/api/log/faces", { body })));
    if (!answer) return;
    trouble = answer.trouble;
    if (answer.data) view = answer.data;
  }

  async function touch(spot: Spot) {
    if (!white || face) [white, face] = [spot, null];
    else face = spot;
    await take();
  }

  async function take() {
    if (!white || !face || !image) return;
    const dots = await dotsOf(image);
    const read: FacePhoto = { is, white: quartersOf(dots, white), face: quartersOf(dots, face) };
    faces = [...(faces ?? []).filter((f) => f.is !== is), read];
  }

  function click(event: MouseEvent & { currentTarget: HTMLElement }) {
    const box = event.currentTarget.getBoundingClientRect();
    // A press of the keyboard has no place: the middle, from where the arrows go on.
    const keyed = event.detail === 0;
    void touch(
      keyed
        ? { x: white && !face ? 0.5 : 0.15, y: 0.5 }
        : { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height },
    );
  }

  const steps: Record<string, Spot> = {
    ArrowLeft: { x: -1, y: 0 },
    ArrowRight: { x: 1, y: 0 },
    ArrowUp: { x: 0, y: -1 },
    ArrowDown: { x: 0, y: 1 },
  };
  function nudge(event: KeyboardEvent) {
    const step = steps[event.key];
    if (!step || !white) return;
    event.preventDefault();
    const within = (v: number) => Math.min(Math.max(v, 0.02), 0.98);
    const moved = (s: Spot) => ({ x: within(s.x + 0.02 * step.x), y: within(s.y + 0.02 * step.y) });
    if (face) face = moved(face);
    else white = moved(white);
    void take();
  }

  function leave(out: FaceIs) {
    faces = (faces ?? []).filter((f) => f.is !== out);
    if (faces.length === 0) faces = null;
    if (out === is) white = face = null;
  }
  const spots = $derived([
    { spot: white, name: m.colour_white() },
    { spot: face, name: faceIsName[is]() },
  ]);
</script>

<section class="grid gap-2" aria-label={m.colour_reached()} data-testid="face-colours">
  {#if photoId}
    <button class="button w-fit" type="button" aria-expanded={open} onclick={() => (open = !open)}>{m.colour_read()}</button>
  {/if}
  <div class="grid gap-x-8 gap-y-2 lg:grid-cols-2">
    <div class="grid content-start gap-2">
      {#if open && photoId}
        <Segments
          label={m.colour_of()}
          value={is}
          options={kinds}
          onchange={(v) => {
            is = v;
            white = face = null;
          }}
        />
        <p class="text-body" role="status">{!white || face ? m.colour_touch_white() : m.colour_touch_face()}</p>
        <button
          type="button"
          class="relative block w-full max-w-105 cursor-crosshair overflow-hidden rounded-lg border-2 border-rim-soft"
          aria-label="{label}. {m.colour_touch_how()}"
          onclick={click}
          onkeydown={nudge}
        >
          <img bind:this={image} src="/api/photos/{photoId}" alt="" class="block w-full" draggable="false" />
          {#each spots as { spot, name } (name)}
            {#if spot}<span
                class="pointer-events-none absolute aspect-square -translate-1/2 rounded-full border-3 border-rim outline-2 outline-white"
                style:left="{100 * spot.x}%"
                style:top="{100 * spot.y}%"
                style:height="{200 * REACH}%"
                ><span class="absolute start-full top-1/2 ms-1 -translate-y-1/2 rounded bg-white px-1 text-fine whitespace-nowrap"
                  >{name}</span
                ></span
              >{/if}
          {/each}
        </button>
      {/if}
    </div>
    <div class="grid content-start gap-2">
      <Trouble {trouble} />
      {#if view}
        {#each view.faces.filter((f) => f.trouble !== "none") as bad (bad.is)}
          <p class="caution" role="alert" data-testid="colour-trouble">{faceIsName[bad.is]()}: {faceTroubleName[bad.trouble]()}</p>
        {/each}
        {#if view.faces.some((f) => f.trouble === "none")}<ColourScale {view} />{/if}
        {#if view.faces.some((f) => f.trouble === "none" && f.is !== "raw")}<p class="text-small text-mute">{m.colour_teaches()}</p>{/if}
        <div class="flex flex-wrap gap-2">
          {#each view.faces as f (f.is)}
            <button class="button plain" type="button" onclick={() => leave(f.is)}
              ><X size={17} aria-hidden="true" />{m.colour_leave({ face: faceIsName[f.is]() })}</button
            >
          {/each}
        </div>
      {/if}
    </div>
  </div>
</section>
