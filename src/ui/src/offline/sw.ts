import { clientsClaim } from "workbox-core";
import { cleanupOutdatedCaches, createHandlerBoundToURL, type PrecacheEntry, precacheAndRoute } from "workbox-precaching";
import { NavigationRoute, registerRoute } from "workbox-routing";

/**
 * Keeps the pages of this very version, so that they open also while the kitchen is away. What the kitchen answers is never kept here: an old
 * answer would be taken for a new one.
 */
declare const self: { __FILES: PrecacheEntry[]; skipWaiting(): Promise<void> };

void self.skipWaiting();
clientsClaim();
cleanupOutdatedCaches();
precacheAndRoute(self.__FILES);
registerRoute(
  new NavigationRoute(createHandlerBoundToURL("/index.html"), { denylist: [/^\/(api|openapi|formats|healthz|metrics|authority)/] }),
);
