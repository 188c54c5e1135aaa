import wrap from "svelte-spa-router/wrap";
import Shelf from "./places/Shelf.svelte";

/** Which place stands at which address. The shelf comes with the page; the others follow while nothing else is done, or when they are asked for. */
const later = {
  batch: () => import("./places/Batch.svelte"),
  log: () => import("./places/Log.svelte"),
  larder: () => import("./places/Larder.svelte"),
  stove: () => import("./places/Stove.svelte"),
  timetable: () => import("./places/Timetable.svelte"),
  labels: () => import("./places/Labels.svelte"),
  card: () => import("./places/Card.svelte"),
  trust: () => import("./places/Trust.svelte"),
  day: () => import("./places/Day.svelte"),
};

export async function fetchAhead(): Promise<void> {
  for (const place of [later.batch, later.log, later.larder, later.stove]) {
    await new Promise((idle) => ("requestIdleCallback" in window ? requestIdleCallback(idle) : setTimeout(idle)));
    await place().catch(() => undefined);
  }
}

export const Door = () => import("./places/Door.svelte");
const Log = wrap({ asyncComponent: later.log });
const Stove = wrap({ asyncComponent: later.stove });
const Trust = wrap({ asyncComponent: later.trust });

/** A batch gets its address when it is first kept: the same route, so that the bench stays as it is. */
export const usual = {
  "/": Shelf,
  "/batch/:id?": wrap({ asyncComponent: later.batch }),
  "/log/new/:batch": Log,
  "/log/compare/:ids": Log,
  "/log/:id?": Log,
  "/larder/:tab?": wrap({ asyncComponent: later.larder }),
  "/card": wrap({ asyncComponent: later.card }),
  "/day/:day?": wrap({ asyncComponent: later.day }),
  "/labels": wrap({ asyncComponent: later.labels }),
  "/stove/:id?": Stove,
  "/timetable": wrap({ asyncComponent: later.timetable }),
  "/trust": Trust,
  "*": Shelf,
};
export const atTheStove = { "/stove/:id?": Stove, "/trust": Trust, "*": Stove };
export const trustAlone = { "/trust": Trust };
