// Counts what suites ran. node tally.mjs trx|playwright|vitest NAME FILE SECONDS prints "NAME PASSED FAILED SECONDS";
// node tally.mjs sum FOLDER SECONDS NAME... adds them up.
import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";

const [how, ...rest] = process.argv.slice(2);

const counts = {
  trx(text) {
    const counters = /<Counters ([^>]+)>/.exec(text)?.[1] ?? "";
    const count = (name) => Number(new RegExp(`\\b${name}="(\\d+)"`).exec(counters)?.[1] ?? 0);
    const passed = count("passed");
    return [passed, count("total") - passed - count("notExecuted")];
  },
  playwright(text) {
    const { stats } = JSON.parse(text);
    // A test that passed only when tried again has failed.
    return [stats.expected, stats.unexpected + stats.flaky];
  },
  vitest(text) {
    const { numPassedTests, numFailedTests, numFailedTestSuites } = JSON.parse(text);
    // A file that could not even be read has no failed test in it.
    return [numPassedTests, Math.max(numFailedTests, numFailedTestSuites)];
  },
};

if (how === "sum") {
  const [folder, seconds, ...names] = rest;
  let passed = 0;
  let failed = 0;
  for (const name of names) {
    const tally = join(folder, name, "tally");
    // A suite that did not get as far as a line has failed.
    const [, good, bad, took] = existsSync(tally) ? readFileSync(tally, "utf8").trim().split(" ") : [name, 0, 1, 0];
    console.log(`${name}: ${good} passed, ${bad} failed, ${took} s`);
    passed += Number(good);
    failed += Number(bad);
  }
  console.log(`in all, with building: ${seconds} s`);
  console.log(`${passed} passed, ${failed} failed`);
  process.exit(failed > 0 || passed === 0 ? 1 : 0);
}

const [name, file, seconds] = rest;
// A suite that did not get as far as a report, or ran nothing, has failed.
const [passed, failed] = existsSync(file) ? counts[how](readFileSync(file, "utf8")) : [0, 1];
console.log(`${name} ${passed} ${passed + failed === 0 ? 1 : failed} ${seconds}`);
