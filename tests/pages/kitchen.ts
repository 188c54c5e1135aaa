import type { TestProject } from "vitest/node";
import { startServer } from "../ui/server.mjs";

declare module "vitest" {
  export interface ProvidedContext {
    kitchen: string;
  }
}

/** One demo kitchen for all: nothing here changes it. */
export default async function setup(project: TestProject) {
  const server = await startServer();
  project.provide("kitchen", server.address);
  return async () => {
    await server.stop();
    server.clear();
  };
}
