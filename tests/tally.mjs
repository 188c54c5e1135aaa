// Counts what a suite ran: node tally.mjs trx|playwright NAME FILE prints "NAME PASSED FAILED"; node tally.mjs sum FILE adds them up.
import { existsSync, readFileSync } from "node:fs";

const [how, ...rest] = process.argv.slice(2);

function trx(file) {
  const counters = /<Counters ([^>]+)>/.exec(readFileSync(file, "utf8"))?.[1] ?? "";
  const count = (name) => Number(new RegExp(`\\b${name}="(\\d+)"`).exec(counters)?.[1] ?? 0);
  const passed = count("passed");
  return [passed, count("total") - passed - count("notExecuted")];
}

function playwright(file) {
  const { stats } = JSON.parse(readFileSync(file, "utf8"));
  // A test that passed only when tried again has failed.
  return [stats.expected, stats.unexpected + stats.flaky];
}

if (how === "sum") {
  let passed = 0;
  let failed = 0;
  for (const line of readFileSync(rest[0], "utf8").trim().split("\n").filter(Boolean)) {
    const [suite, good, bad] = line.split(" ");
    console.log(`${suite}: ${good} passed, ${bad} failed`);
    passed += Number(good);
    failed += Number(bad);
  }
  console.log(`${passed} passed, ${failed} failed`);
  process.exit(failed > 0 || passed === 0 ? 1 : 0);
}

const [name, file] = rest;
// A suite that did not get as far as a report, or ran nothing, has failed.
const [passed, failed] = existsSync(file) ? { trx, playwright }[how](file) : [0, 1];
console.log(`${name} ${passed} ${passed + failed === 0 ? 1 : failed}`);
