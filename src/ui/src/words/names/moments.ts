import { m } from "../../paraglide/messages";

/** The parts a day and an hour are typed in. */
export const partName: Record<string, () => string> = {
  day: m.part_day,
  month: m.part_month,
  year: m.part_year,
  hour: m.part_hour,
  minute: m.part_minute,
  dayPeriod: m.part_day_period,
};
