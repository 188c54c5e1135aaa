import type { Allergen, IngredientKind, Trait } from "../../api/types";
import { larder } from "../../api/larder.svelte";
import { m } from "../../paraglide/messages";
import { named } from "../forms";

export const allergenName: Record<Allergen, () => string> = {
  gluten: m.allergen_gluten,
  wheat: m.allergen_wheat,
  milk: m.allergen_milk,
  egg: m.allergen_egg,
  nuts: m.allergen_nuts,
  peanut: m.allergen_peanut,
  sesame: m.allergen_sesame,
  mustard: m.allergen_mustard,
  soya: m.allergen_soya,
  celery: m.allergen_celery,
  lupin: m.allergen_lupin,
  fish: m.allergen_fish,
  crustaceans: m.allergen_crustaceans,
  molluscs: m.allergen_molluscs,
  sulphites: m.allergen_sulphites,
};

export const traitName: Record<Trait, () => string> = {
  spoils: m.trait_spoils,
  rawRisk: m.trait_raw_risk,
  keepsBadlyWarm: m.trait_keeps_badly_warm,
  garlicLike: m.trait_garlic_like,
  notForInfants: m.trait_not_for_infants,
  yeast: m.trait_yeast,
  powder: m.trait_powder,
  solidWhenCold: m.trait_solid_when_cold,
  sticky: m.trait_sticky,
  tender: m.trait_tender,
  sour: m.trait_sour,
  brownsRaw: m.trait_browns_raw,
  drinksSlowly: m.trait_drinks_slowly,
  lumpy: m.trait_lumpy,
  free: m.trait_free,
};

export const kindName: Record<IngredientKind, () => string> = {
  flour: m.kind_flour,
  separator: m.kind_separator,
  binder: m.kind_binder,
  fat: m.kind_fat,
  liquid: m.kind_liquid,
  puree: m.kind_puree,
  salt: m.kind_salt,
  seasoning: m.kind_seasoning,
  leaven: m.kind_leaven,
  addition: m.kind_addition,
  vegetable: m.kind_vegetable,
  mash: m.kind_mash,
  dairy: m.kind_dairy,
  meat: m.kind_meat,
  sweet: m.kind_sweet,
};

const liquor = named(m.liquor);

/** An ingredient's name; its id while the larder is still on its way. */
export const nameOf = (id: string): string => larder.byId.get(id)?.name ?? (id === "liquor" ? liquor() : id);

/** The name without what stands in brackets, for places with little room. */
export const shortName = (id: string): string => nameOf(id).replace(/ \(.*\)/, "");

/** The short name as it is written within a line: what ships has a form of its own for that, what a cook has named stays as it is. */
export const shortWithin = (id: string): string =>
  larder.view?.within?.[id] ?? (id === "liquor" && !larder.byId.has(id) ? liquor.within() : shortName(id));
