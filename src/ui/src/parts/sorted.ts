import type { Attachment } from "svelte/attachments";

const HELD_MS = 200;

/**
 * Lets the `[data-sorted]` children of a list be dragged to another place, by mouse or by a finger that rests on one first.
 * @param moved gets their places before and after; the list is drawn anew by whoever hears it
 */
export const sorted =
  (moved: (from: number, to: number) => void): Attachment<HTMLElement> =>
  (list) => {
    let stop: (() => void) | undefined;
    let gone = false;
    void import("sortablejs").then(({ default: Sortable }) => {
      if (gone) return;
      let next: ChildNode | null = null;
      const sortable = Sortable.create(list, {
        draggable: "[data-sorted]",
        delay: HELD_MS,
        delayOnTouchOnly: true,
        animation: matchMedia("(prefers-reduced-motion: reduce)").matches ? 0 : 120,
        ghostClass: "opacity-40",
        onStart: ({ item }) => (next = item.nextSibling),
        onEnd({ item, oldDraggableIndex: from, newDraggableIndex: to }) {
          // The list is whoever draws it's own: it gets its element back where it was.
          list.insertBefore(item, next);
          if (from !== undefined && to !== undefined && from !== to) moved(from, to);
        },
      });
      stop = () => sortable.destroy();
    });
    return () => {
      gone = true;
      stop?.();
    };
  };
