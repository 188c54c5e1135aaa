import { call } from "../../api/call";
import { api } from "../../api/client";
import type { BreadView } from "../../api/types";
import { save } from "../../files/files";
import { cardSteps } from "../../words/card";

/** A bread as schema.org Recipe: the kitchen has the figures, the steps are laid in here as its card says them. */
export async function saveRecipe(bread: BreadView): Promise<boolean> {
  const [recipe, plan] = await Promise.all([
    fetch(`/api/files/recipes/${bread.id}`).catch(() => null),
    call(() => api.POST("/api/plan", { body: bread.spec })),
  ]);
  if (!recipe?.ok || !plan.data) return false;
  const name = /filename="?([^";]+)/.exec(recipe.headers.get("content-disposition") ?? "")?.[1] ?? "recipe.jsonld";
  const steps = cardSteps(bread.spec, plan.data).map((text) => ({ "@type": "HowToStep", text }));
  const whole = { ...((await recipe.json()) as object), inLanguage: document.documentElement.lang, recipeInstructions: steps };
  save(new Blob([JSON.stringify(whole, null, 2)], { type: "application/ld+json" }), name);
  return true;
}
