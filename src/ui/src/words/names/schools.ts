import { m } from "../../paraglide/messages";

/** What each school is called, and how its breads are made. */
const schools: Record<string, [() => string, () => string]> = {
  plain: [m.school_plain, m.school_plain_how],
  waterFirst: [m.school_water_first, m.school_water_first_how],
  halves: [m.school_halves, m.school_halves_how],
  letters: [m.school_letters, m.school_letters_how],
  stripCoil: [m.school_strip_coil, m.school_strip_coil_how],
  coils: [m.school_coils, m.school_coils_how],
  stretched: [m.school_stretched, m.school_stretched_how],
  envelope: [m.school_envelope, m.school_envelope_how],
  cone: [m.school_cone, m.school_cone_how],
  strips: [m.school_strips, m.school_strips_how],
  ribbons: [m.school_ribbons, m.school_ribbons_how],
  enclosed: [m.school_enclosed, m.school_enclosed_how],
  starchLog: [m.school_starch_log, m.school_starch_log_how],
  parcel: [m.school_parcel, m.school_parcel_how],
  stuffed: [m.school_stuffed, m.school_stuffed_how],
  puree: [m.school_puree, m.school_puree_how],
  batter: [m.school_batter, m.school_batter_how],
};

export const schoolName = (id: string): string => schools[id]?.[0]() ?? id;
export const schoolHow = (id: string): string => schools[id]?.[1]() ?? "";
