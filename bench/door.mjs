// What the door costs: asking who may, TLS, and many kitchens of one machine behind one proxy. Part of ./ystrata bench
import { readFileSync } from "node:fs";
import http from "node:http";
import { startServer } from "../tests/ui/server.mjs";
import { machine, newCode, screen } from "./screen.mjs";

const [TIMES, WARM, KITCHENS] = [400, 150, 8];
const median = (list) => list.toSorted((a, b) => a - b)[Math.floor(list.length / 2)];
const pass = "what the door costs";

async function letIn(server) {
  await machine(server, "PUT", "/api/screens/passphrase", { passphrase: pass });
  const one = screen(await server.network());
  await one.comeIn(await newCode(server), "Bench");
  return one;
}

// One after the other in turn, so that whatever else the machine does meets them alike.
async function inTurn(...works) {
  const took = works.map(() => []);
  for (let n = 0; n < WARM + TIMES; n++)
    for (const [i, work] of works.entries()) {
      const from = performance.now();
      const { status } = await work();
      if (status !== 200) throw new Error(`answered ${status}`);
      if (n >= WARM) took[i].push(performance.now() - from);
    }
  return took.map(median);
}

const say = (what, figure, more = "") => console.log(what.padEnd(44) + figure.padStart(12) + `   ${more}`);
const ms = (value) => `${value.toFixed(3)} ms`;

const lan = ["--lan", "true", "--lan-port", "0", "--bind", "127.0.0.1"];
{
  const server = await startServer({ more: [...lan, "--plain", "true"] });
  const stranger = screen(server.address);
  const known = await letIn(server);
  const [machineItself, asScreen] = await inTurn(
    () => stranger.send("GET", "/api/live/room"),
    () => known.send("GET", "/api/live/room"),
  );
  say("asking who may: the machine itself", ms(machineItself));
  say("asking who may: a screen, by its cookie", ms(asScreen), `${ms(asScreen - machineItself)} more, target 0.3 ms`);
  for (const one of [stranger, known]) one.close();
  await server.stop();
  server.clear();
}
{
  // A screen at each of two kitchens that differ in nothing else: what the door asks it is no part of what TLS adds.
  const servers = [await startServer({ more: [...lan, "--plain", "true"] }), await startServer({ more: lan })];
  const { plain } = await machine(servers[0], "GET", "/api/larder");
  const screens = [await letIn(servers[0]), await letIn(servers[1])];
  const [clear, tls] = await inTurn(...screens.map((one) => () => one.send("POST", "/api/plan", plain)));
  say("a plan, by a screen without TLS", ms(clear));
  say("a plan, by a screen over TLS", ms(tls), `${((tls / clear - 1) * 100).toFixed(0)} % more, target 20 %`);
  for (const one of screens) one.close();
  for (const server of servers) {
    await server.stop();
    server.clear();
  }
}
{
  // A proxy of twenty lines: which kitchen is asked, the name says.
  const kitchens = new Map();
  const proxy = http.createServer((request, answer) => {
    const port = kitchens.get(request.headers.host?.split(":")[0]);
    const headers = { ...request.headers, "x-forwarded-for": request.socket.remoteAddress, "x-forwarded-proto": "https" };
    const on = http.request({ port, host: "127.0.0.1", method: request.method, path: request.url, headers }, (from) => {
      answer.writeHead(from.statusCode, from.headers);
      from.pipe(answer);
    });
    on.on("error", () => answer.destroy());
    request.pipe(on);
  });
  await new Promise((done) => proxy.listen(0, "127.0.0.1", done));
  const servers = [];
  for (let i = 0; i < KITCHENS; i++) {
    const name = `kitchen-${i}.localhost`;
    const server = await startServer({ more: [...lan, "--proxy", "127.0.0.1", "--host", name] });
    kitchens.set(name, await server.networkPort());
    servers.push({ server, name });
  }
  const asked = servers.map(({ name }) => async () => {
    const from = performance.now();
    const status = await new Promise((done, fail) =>
      http
        .get(
          { port: proxy.address().port, host: "127.0.0.1", path: "/api/door", headers: { host: name } },
          (a) => (a.resume(), a.on("end", () => done(a.statusCode))),
        )
        .on("error", fail),
    );
    if (status !== 200) throw new Error(`${name}: ${status}`);
    return performance.now() - from;
  });
  for (const one of asked) for (let n = 0; n < 20; n++) await one();
  const took = [];
  for (let n = 0; n < 40; n++) took.push(...(await Promise.all(asked.map((one) => one()))));
  const megabytes = servers.map(
    ({ server }) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, "utf8"))[1]) / 1024,
  );
  say(
    `${KITCHENS} kitchens behind one proxy, asked at once`,
    ms(median(took)),
    `each ${Math.min(...megabytes).toFixed(0)} to ${Math.max(...megabytes).toFixed(0)} MB`,
  );
  for (const { server } of servers) {
    await server.stop();
    server.clear();
  }
  proxy.close();
}
