import type { TestProject } from "vitest/node";
import { startServer } from "../ui/server.mjs";

declare module "vitest" {
  export interface ProvidedContext {
    kitchen: string;
    /** Every note the program can say, by its own description. */
    noteCodes: string[];
  }
}

/** One demo kitchen for all: nothing here changes it. */
export default async function setup(project: TestProject) {
  const server = await startServer();
  project.provide("kitchen", server.address);
  const openapi = await (await fetch(`${server.address}/openapi/v1.json`)).json();
  project.provide("noteCodes", openapi.components.schemas.NoteCode.enum);
  return async () => {
    await server.stop();
    server.clear();
  };
}
