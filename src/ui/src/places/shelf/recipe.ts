import { all } from "../../api/fetched.svelte";
import { call, type Trouble } from "../../api/call";
import { api, sendFile } from "../../api/client";
import type { BreadView } from "../../api/types";
import { save } from "../../files/files";
import { cardSteps } from "../../words/card";

/** A bread as schema.org Recipe: the kitchen has the figures, the steps are laid in here as its card says them. @returns why not, if it was not saved */
export async function saveRecipe(bread: BreadView): Promise<Trouble | null> {
  const { data, trouble } = await all(
    call(async () => {
      const response = await sendFile(`/api/files/recipes/${bread.id}`);
      const name = /filename="?([^";]+)/.exec(response.headers.get("content-disposition") ?? "")?.[1] ?? "recipe.jsonld";
      return { data: { name, recipe: response.ok ? ((await response.json()) as object) : {} }, response };
    }),
    call(() => api.POST("/api/plan", { body: bread.spec })),
  );
  if (trouble) return trouble;
  const [{ name, recipe }, sheet] = data;
  const steps = cardSteps(bread.spec, sheet).map((text) => ({ "@type": "HowToStep", text }));
  const whole = { ...recipe, inLanguage: document.documentElement.lang, recipeInstructions: steps };
  save(new Blob([JSON.stringify(whole, null, 2)], { type: "application/ld+json" }), name);
  return null;
}
