// Measures the writing desk on an instance with thousands of questions (see bin/bench desk) and prints a table.
// node desk.mjs DESK.json
import { readFileSync } from "node:fs";
import { chromium } from "@playwright/test";
import { ask, BASE, median, quantile, sleep } from "./http.mjs";

const desk = JSON.parse(readFileSync(process.argv[2], "utf8"));
const say = (what, value, aim, met) =>
  console.log(
    `| ${what} | ${value} | ${aim} | ${met ? "met" : "**missed**"} |`,
  );
const ms = (times) =>
  `${median(times).toFixed(0)} ms · 95 %: ${quantile(times, 0.95).toFixed(0)} ms`;
async function asked(method, path, body, who = desk.staff) {
  const answer = await ask(method, path, who, body);
  if (answer.status >= 300)
    throw new Error(
      `${method} ${path}: ${answer.status} ${answer.body.slice(0, 200)}`,
    );
  return answer;
}

async function searches() {
  const { words, skills } = desk;
  const kinds = {
    all: () => "",
    "one word": (n) => `?q=${words[n % words.length]}`,
    "two words": (n) =>
      `?q=${words[n % words.length]}%20${words[(n * 7 + 3) % words.length]}`,
    "a word begun": (n) => `?q=${words[n % words.length].slice(0, -1)}`,
    "a slip": (n) => `?q=${words[n % words.length].replace(/[aeiou]/, "y")}`,
    "a skill and a word": (n) =>
      `?skill=${skills[n % skills.length]}&q=${words[(n * 5) % words.length]}`,
    "a later page": (n) => `?from=${100 * (n % 40)}`,
  };
  const times = [];
  for (const [kind, query] of Object.entries(kinds)) {
    await asked("GET", `/items${query(0)}`);
    const own = [];
    for (let n = 0; n < 30; n++)
      own.push((await asked("GET", `/items${query(n)}`)).ms);
    times.push(...own);
    console.log(`| finding: ${kind} | ${ms(own)} | | |`);
  }
  say(
    "finding in the bank, all of these",
    ms(times),
    "95 % ≤ 100 ms",
    quantile(times, 0.95) <= 100,
  );
}

async function papers() {
  const times = [];
  for (let n = 0; n < 60; n++)
    times.push(
      (await asked("GET", `/papers/${desk.papers[n % desk.papers.length]}`)).ms,
    );
  say(
    "opening a paper of forty questions, with its proof",
    ms(times),
    "≤ 200 ms",
    quantile(times, 0.95) <= 200,
  );
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: ["--no-sandbox"],
  });
  const [name, value] = desk.staff.split("=");
  const seen = [];
  for (let n = 0; n < 9; n++) {
    const context = await browser.newContext({
      viewport: { width: 1280, height: 800 },
    });
    await context.addCookies([
      { name, value, domain: "127.0.0.1", path: "/api" },
    ]);
    const page = await context.newPage();
    const began = Date.now();
    await page.goto(`${BASE}/papers/${desk.papers[n]}`);
    await page.getByRole("button", { name: "From the bank" }).waitFor();
    seen.push(Date.now() - began);
    await context.close();
  }
  await browser.close();
  say(
    "the paper’s desk in a browser that has seen nothing of it",
    ms(seen),
    "≤ 1 s",
    median(seen) <= 1000,
  );
}

async function rehearsals() {
  for (const [what, mastery] of [
    ["rehearsing 1 000 students", null],
    [
      "… with missed questions that come back",
      { returns: 2, credits: ["1", "1/2"] },
    ],
    [
      "… by a rule for each skill",
      {
        returns: 2,
        credits: ["1", "1/2"],
        shown: { kind: "streak", right: 3 },
      },
    ],
  ]) {
    const { paper, version } = JSON.parse(
      (await asked("GET", `/papers/${desk.branching}`)).body,
    );
    await asked("PUT", `/papers/${desk.branching}`, {
      paper: { ...paper, mastery },
      version,
    });
    const times = [];
    for (let n = 0; n < 5; n++)
      times.push(
        (
          await asked("POST", `/papers/${desk.branching}/rehearsal`, {
            students: 1000,
            seed: `s${n}`,
          })
        ).ms,
      );
    say(what, ms(times), "≤ 2 s", median(times) <= 2000);
  }
}

async function print() {
  const times = [];
  for (let n = 0; n < 3; n++) {
    const began = performance.now();
    const { id } = JSON.parse(
      (await asked("POST", `/papers/${desk.papers[n]}/pdf`, {})).body,
    );
    while (JSON.parse((await asked("GET", `/pdfs/${id}`)).body).before > 0)
      await sleep(50);
    await asked("POST", `/pdfs/${id}/file`);
    times.push(performance.now() - began);
  }
  say("a PDF of forty questions", ms(times), "≤ 4 s", median(times) <= 4000);
}

/** Thirty students at work on a paper of the bank, each to save once a second. */
async function sitters() {
  const json = async (...what) => JSON.parse((await asked(...what)).body);
  const paper = desk.papers[10];
  const { version } = await json("GET", `/papers/${paper}`);
  const { editionId } = await json("POST", `/papers/${paper}/publish`, {
    version,
  });
  const room = await json("POST", "/classes", { name: "At work" });
  const names = Array.from(
    { length: 30 },
    (_, i) =>
      `Student ${String.fromCharCode(97 + Math.floor(i / 26))}${String.fromCharCode(97 + (i % 26))}`,
  );
  await asked("POST", `/classes/${room.id}/roster`, { text: names.join("\n") });
  const { slips } = await json("POST", `/classes/${room.id}/slips`);
  const handout = await json("POST", "/handouts", {
    editionId,
    classes: [room.id],
    requestId: crypto.randomUUID(),
  });
  const all = [];
  for (const { name, pin } of slips) {
    const joined = await fetch(`${BASE}/api/join`, {
      method: "POST",
      headers: { "Content-Type": "application/json", "X-Chalk-Ladder": "1" },
      body: JSON.stringify({ code: room.code, name, pin }),
    });
    const cookie = joined.headers
      .getSetCookie()
      .filter((one) => !one.includes("Max-Age=0"))
      .map((one) => one.split(";")[0])
      .join("; ");
    const sitting = await json(
      "POST",
      `/me/handouts/${handout.id}/open`,
      undefined,
      cookie,
    );
    const { entry, face } = sitting.steps.find((step) => step.face);
    all.push({
      cookie,
      id: sitting.id,
      entry,
      options: face.options.map((o) => o.id),
    });
  }
  return all;
}

/** PDFs are made in a pool of their own: whoever saves meanwhile is not to wait for them. */
async function printedBesideSaving() {
  const students = await sitters();
  let counter = 0;
  /** thirty saves a second for as long as it is to go on */
  const saving = async (goesOn) => {
    const times = [];
    const under = [];
    for (let n = 0; goesOn(n); n++) {
      for (const one of students) {
        const value = { options: [one.options[n % one.options.length]] };
        const saves = [
          {
            entry: one.entry,
            try: 1,
            value,
            counter: ++counter,
            clientId: `c${counter}`,
          },
        ];
        under.push(
          asked(
            "PUT",
            `/me/sittings/${one.id}/responses`,
            { saves, at: one.entry },
            one.cookie,
          ).then(({ ms }) => times.push(ms)),
        );
        await sleep(1000 / students.length);
      }
    }
    await Promise.all(under);
    return times;
  };
  await saving((n) => n < 2);
  const alone = await saving((n) => n < 8);
  let left = 10;
  const began = performance.now();
  const printing = Array.from({ length: 10 }, async (_, n) => {
    const who = n < 5 ? desk.staff : desk.second;
    const { id } = JSON.parse(
      (await asked("POST", `/papers/${desk.papers[n]}/pdf`, {}, who)).body,
    );
    await asked("POST", `/pdfs/${id}/file`, undefined, who);
    left--;
  });
  const beside = await saving(() => left > 0);
  await Promise.all(printing);
  console.log(
    `| ten PDFs asked at once, until the last is there | ${((performance.now() - began) / 1000).toFixed(1)} s | | |`,
  );
  console.log(
    `| saving an answer, 30 a second, nothing printed | ${ms(alone)} | | |`,
  );
  const [calm, busy] = [quantile(alone, 0.95), quantile(beside, 0.95)];
  say(
    "… while ten PDFs are made",
    `${ms(beside)} (${(busy / calm).toFixed(1)} times)`,
    "95 % ≤ 50 ms",
    busy <= 50,
  );
}

console.log("| what | measured | aim | |\n| --- | --- | --- | --- |");
await searches();
await papers();
await rehearsals();
await print();
await printedBesideSaving();
