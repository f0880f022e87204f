// A yard behind a weak signal: what passes here can be made late, silent, cut off, answered otherwise, or sent twice.
// weak.mjs PORT YARD: listens on loopback and passes everything on. Rules are posted to /weak as JSON, the first that fits holds:
// [{ "method": "POST", "path": "^/api/notes$", "does": "late" | "silent" | "cut" | "answer" | "twice" | "lost", "ms": 9500, "status": 502, "times": 1 }]
import http from 'node:http';

const [, , port, yard] = process.argv;
const to = new URL(yard);
let rules = [];

const pass = (request, body) =>
  new Promise((resolve, reject) => {
    const { method, url, headers } = request;
    const asked = http.request({ host: to.hostname, port: to.port, method, path: url, headers }, (answer) => {
      const parts = [];
      answer.on('data', (part) => parts.push(part));
      answer.on('end', () => resolve({ status: answer.statusCode, headers: answer.headers, body: Buffer.concat(parts) }));
      answer.on('error', reject);
    });
    asked.on('error', reject);
    asked.end(body);
  });

const read = async (request) => {
  const parts = [];
  for await (const part of request) parts.push(part);
  return Buffer.concat(parts);
};

const later = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds));

function ruleFor({ method, url }) {
  const rule = rules.find(
    (one) => (one.method ?? method) === method && new RegExp(one.path ?? '').test(url) && (one.times ?? 1) > 0,
  );
  if (rule?.times !== undefined) rule.times -= 1;
  return rule;
}

// Whoever leaves in the middle is gone, and nobody else with them.
process.on('uncaughtException', () => undefined);

http
  .createServer(async (request, response) => {
    const body = await read(request);
    if (request.url === '/weak') {
      rules = JSON.parse(body.toString());
      response.end('[]');
      return;
    }
    const rule = ruleFor(request);
    if (rule?.does === 'silent') return;
    if (rule?.does === 'cut') return request.socket.destroy();
    if (rule?.does === 'answer') {
      response.writeHead(rule.status, { 'Content-Type': 'text/html' });
      response.end('<h1>Bad gateway</h1>');
      return;
    }
    if (rule?.does === 'late') await later(rule.ms);
    if (rule?.does === 'twice') await pass(request, body).catch(() => null);
    const answer = await pass(request, body).catch(() => null);
    // It was done, and nobody hears of it.
    if (answer === null || rule?.does === 'lost') return request.socket.destroy();
    response.writeHead(answer.status, answer.headers);
    response.end(answer.body);
  })
  .listen(Number(port), '127.0.0.1');
