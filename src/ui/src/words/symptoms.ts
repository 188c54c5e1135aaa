import type { Sureness, Symptom } from "../api/types";
import { m } from "../paraglide/messages";
import { named, type Name } from "./forms";

export const symptomName: Record<Symptom, Name> = {
  stiff: named(m.symptom_stiff),
  hardInTheMiddle: named(m.symptom_hard_in_the_middle),
  shrankBack: named(m.symptom_shrank_back),
  sticky: named(m.symptom_sticky),
  noLayers: named(m.symptom_no_layers),
  greasy: named(m.symptom_greasy),
  burst: named(m.symptom_burst),
  soggy: named(m.symptom_soggy),
  rawInside: named(m.symptom_raw_inside),
  burntFlour: named(m.symptom_burnt_flour),
  tooSalty: named(m.symptom_too_salty),
  driedOut: named(m.symptom_dried_out),
  tears: named(m.symptom_tears),
  uneven: named(m.symptom_uneven),
  pale: named(m.symptom_pale),
  bland: named(m.symptom_bland),
};

export const surenessName: Record<Sureness, () => string> = {
  possible: m.sure_possible,
  likely: m.sure_likely,
  veryLikely: m.sure_very_likely,
};
