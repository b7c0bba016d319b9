// A receiver and its answer pads, made up: presses as a class sends them, with presses that are heard twice, pads that fall silent and come
// back with what they had pressed, batteries that run low and one pad that was never given out. See docs/formats/pads.md.
// node pads.mjs BASE HANDOUT KEY [--pads N] [--questions N] [--letters N] [--seconds N]
const [base, handout, key, ...rest] = process.argv.slice(2);
const number = (name, otherwise) => {
  const at = rest.indexOf(`--${name}`);
  const said = at < 0 ? otherwise : Number(rest[at + 1]);
  if (!Number.isInteger(said) || said < 1 || said > 1000) fail(`--${name} wants a whole number from 1 to 1000`);
  return said;
};
function fail(why) {
  console.error(`pads: ${why}`);
  process.exit(1);
}
if (!handout || !key) fail('say HANDOUT and KEY, as the Lookout shows them under "Answer pads"');
const COUNT = number("pads", 28);
const QUESTIONS = number("questions", 10);
const LETTERS = "ABCDEFGH".slice(0, Math.min(8, number("letters", 4)));
const UNTIL = Date.now() + 1000 * number("seconds", 120);
const EVERY = 700;
const BATCH = 100;

// So that what is shown is no accident of one run: always the same presses for the same numbers.
let state = 20261128;
const chance = () => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648;
const pads = Array.from({ length: COUNT }, (_, i) => ({
  pad: String(i + 1).padStart(2, "0"),
  press: 0,
  at: 1,
  battery: i % 9 === 4 ? 0.24 : 0.5 + 0.5 * chance(),
  silent: 0,
  kept: [],
}));
pads.push({ pad: "90", press: 0, at: 1, battery: 0.8, silent: 0, kept: [] });

const waiting = [];
function presses() {
  for (const pad of pads) {
    if (pad.silent > 0 && --pad.silent === 0) {
      // It comes back, and says what it has; the latest may be heard before the rest.
      waiting.push(...pad.kept.splice(0).reverse());
    }
    if (pad.at > QUESTIONS || chance() > 0.25) continue;
    if (chance() < 0.01) pad.silent = 12;
    pad.battery = Math.max(0, pad.battery - 0.004);
    const said = {
      pad: pad.pad,
      press: ++pad.press,
      question: pad.at,
      keys: LETTERS[Math.floor(chance() * LETTERS.length)],
      battery: Math.round(pad.battery * 100) / 100,
    };
    // Some think again; most go on.
    if (chance() < 0.85) pad.at += 1;
    const to = pad.silent > 0 ? pad.kept : waiting;
    to.push(said);
    if (chance() < 0.1) to.push(said);
  }
}

const fates = {};
async function say() {
  const batch = waiting.slice(0, BATCH);
  if (batch.length === 0) return;
  let answer;
  try {
    answer = await fetch(`${base}/api/presses/${handout}`, {
      method: "POST",
      headers: { "Content-Type": "application/json", "X-Chalk-Ladder": "1" },
      body: JSON.stringify({ key, presses: batch }),
      signal: AbortSignal.timeout(10_000),
    });
  } catch {
    // Nothing was heard of it: the same is said again.
    console.log(`no answer; ${waiting.length} presses wait`);
    return;
  }
  const body = await answer.json();
  if (!answer.ok) fail(`${body.title} ${body.detail ?? ""}`);
  waiting.splice(0, batch.length);
  for (const { fate } of body.presses) fates[fate] = (fates[fate] ?? 0) + 1;
  console.log(
    Object.entries(fates)
      .map(([fate, n]) => `${fate} ${n}`)
      .join(" · "),
  );
}

while (Date.now() < UNTIL && (waiting.length > 0 || pads.some((pad) => pad.at <= QUESTIONS || pad.kept.length > 0))) {
  presses();
  await say();
  await new Promise((done) => setTimeout(done, EVERY));
}
