import type { Sureness, Symptom } from "../api/types";
import { m } from "../paraglide/messages";

export const symptomName: Record<Symptom, () => string> = {
  stiff: m.symptom_stiff,
  hardInTheMiddle: m.symptom_hard_in_the_middle,
  shrankBack: m.symptom_shrank_back,
  sticky: m.symptom_sticky,
  noLayers: m.symptom_no_layers,
  greasy: m.symptom_greasy,
  burst: m.symptom_burst,
  soggy: m.symptom_soggy,
  rawInside: m.symptom_raw_inside,
  burntFlour: m.symptom_burnt_flour,
  tooSalty: m.symptom_too_salty,
  driedOut: m.symptom_dried_out,
  tears: m.symptom_tears,
  uneven: m.symptom_uneven,
  pale: m.symptom_pale,
  bland: m.symptom_bland,
};

export const surenessName: Record<Sureness, () => string> = {
  possible: m.sure_possible,
  likely: m.sure_likely,
  veryLikely: m.sure_very_likely,
};
