// One screen of the network as the benches play it: an address of its own, a cookie, the token its page was given.
import http from "node:http";
import https from "node:https";
import { own } from "../tests/ui/server.mjs";

/** Asks a kitchen as its own machine does. @throws where it does not do it */
export async function machine(server, method, path, body) {
  const answer = await fetch(server.address + path, {
    method,
    headers: { ...own, "content-type": "application/json" },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
  return answer.status === 204 ? null : answer.json();
}

/** A code that lets one screen in. */
export const newCode = async (server) => (await machine(server, "POST", "/api/screens/codes", { kind: "all" })).address.split("/in/")[1];

/** @param {string} address of the kitchen, as the network asks it @param {string} [from] the screen's own address */
export function screen(address, from = "127.0.0.1") {
  const { protocol } = new URL(address);
  const way = protocol === "https:" ? https : http;
  // The kitchen's certificate is its own: that tablets check it is shown by the tests.
  const agent = new way.Agent({ keepAlive: true, rejectUnauthorized: false });
  const cookies = new Map();
  let token = "";

  const send = (method, path, body, { more = {}, onopen } = {}) =>
    new Promise((resolve, reject) => {
      const text = body === undefined ? undefined : JSON.stringify(body);
      const request = way.request(
        address + path,
        {
          method,
          agent: onopen ? undefined : agent,
          rejectUnauthorized: false,
          localAddress: from,
          headers: {
            "x-ystrata": token || "none",
            cookie: [...cookies].map(([name, value]) => `${name}=${value}`).join("; "),
            ...(text !== undefined && { "content-type": "application/json", "content-length": Buffer.byteLength(text) }),
            ...more,
          },
        },
        (answer) => {
          for (const cookie of answer.headers["set-cookie"] ?? []) {
            const [, name, value] = /^([^=]+)=([^;]*)/.exec(cookie);
            cookies.set(name, value);
          }
          if (onopen) return resolve(onopen(answer));
          let said = "";
          answer.setEncoding("utf8");
          answer.on("data", (part) => (said += part));
          answer.on("end", () =>
            resolve({
              status: answer.statusCode,
              etag: answer.headers.etag,
              body: said.startsWith("{") || said.startsWith("[") ? JSON.parse(said) : said,
            }),
          );
          answer.on("error", reject);
        },
      );
      request.on("error", reject);
      request.end(text);
    });

  const look = async () => (token = (await send("GET", "/api/door")).body.token);
  return {
    send,
    /** Lets itself in by a code that was made on the machine. */
    async comeIn(code, name) {
      await look();
      const { status, body } = await send("POST", "/api/door/code", { code, name });
      if (status !== 200) throw new Error(`not let in: ${status} ${JSON.stringify(body)}`);
      await look();
    },
    /** Listens, and tells every word it hears. @returns a way to stop */
    listen: (path, heard, ended) =>
      send("GET", path, undefined, {
        onopen(answer) {
          answer.setEncoding("utf8");
          answer.on("data", heard);
          answer.on("end", ended);
          answer.on("error", ended);
          return () => answer.destroy();
        },
      }),
    close: () => agent.destroy(),
  };
}
