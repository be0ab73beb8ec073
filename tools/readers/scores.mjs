// A plain reader of MusicXML beside that of Phalanx: it finds the part that Phalanx says it took the tune from, takes
// the highest note of its first voice at each time, and looks for each of them in the plan, at whatever octave the plan put the song.
// Usage: node scores.mjs FOLDER   with NAME.xml, NAME.json (the plan) and NAME.said in FOLDER.
import fs from 'node:fs';
import path from 'node:path';

const folder = process.argv[2];
const STEPS = { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11 };
// Notes at once and notes off the neck may be missing; by far most of a tune is there.
const LEAST = 0.75;
let failed = false;

const tag = (text, name) => new RegExp(`<${name}(?:\\s[^>]*)?>([^]*?)</${name}>`).exec(text)?.[1];

/** The pitch classes that the highest line of a part strikes, in order, ties left out. */
function line(part) {
  const at = new Map();
  let start = 0;
  let divisions = 1;
  for (const measure of part.match(/<measure[^]*?<\/measure>/g) ?? []) {
    let now = 0;
    let last = 0;
    let longest = 0;
    for (const item of measure.match(/<(note|backup|forward|attributes)\b[^]*?<\/\1>/g) ?? []) {
      if (item.startsWith('<attributes')) {
        divisions = Number(tag(item, 'divisions') ?? divisions);
        continue;
      }
      const duration = Number(tag(item, 'duration') ?? 0) / divisions;
      if (item.startsWith('<backup')) now -= duration;
      else if (item.startsWith('<forward')) now += duration;
      else {
        if (/<grace/.test(item) || /<cue/.test(item)) continue;
        const begin = /<chord\b/.test(item) ? last : now;
        if (!/<chord\b/.test(item)) {
          last = now;
          now += duration;
        }
        const pitch = tag(item, 'pitch');
        const first = (tag(item, 'voice') ?? '1') === '1' && (tag(item, 'staff') ?? '1') === '1';
        if (pitch && first && !/<tie type="stop"/.test(item) && !/<tied[^>]*type="stop"/.test(item)) {
          const midi = 12 * Number(tag(pitch, 'octave')) + STEPS[tag(pitch, 'step').trim()] + Number(tag(pitch, 'alter') ?? 0);
          const key = (start + begin).toFixed(4);
          at.set(key, Math.max(at.get(key) ?? -1, midi));
        }
      }
      longest = Math.max(longest, now);
    }
    start += longest;
  }
  return [...at.entries()].sort((a, b) => a[0] - b[0]).map(([, midi]) => midi % 12);
}

for (const file of fs.readdirSync(folder).filter((f) => f.endsWith('.xml'))) {
  const name = path.basename(file, '.xml');
  const score = fs.readFileSync(path.join(folder, file), 'utf8').replace(/<!--[^]*?-->/g, '');
  const plan = JSON.parse(fs.readFileSync(path.join(folder, `${name}.json`)));
  const said = fs.readFileSync(path.join(folder, `${name}.said`), 'utf8').replace(/\s+/g, ' ');
  const wanted = /taken from “([^”]*)”/.exec(said)?.[1];
  const ids = [...score.matchAll(/<score-part id="([^"]*)">([^]*?)<\/score-part>/g)]
    .filter(([, , body]) => !wanted || (tag(body, 'part-name') ?? '').replace(/\s+/g, ' ').trim() === wanted)
    .map(([, id]) => id);
  const parts = [...score.matchAll(/<part id="([^"]*)">([^]*?)<\/part>/g)].filter(([, id]) => ids.includes(id));
  const melody = parts.length > 0 ? line(parts[0][2]) : [];
  // Each note of the tune is looked for behind the one before; the whole may be moved by a transposing part.
  const sung = plan.notes.filter((n) => n.role === 'tune').map((n) => n.midi % 12);
  let best = 0;
  for (let up = 0; up < 12; up++) {
    let at = 0;
    let found = 0;
    for (const pitch of melody) {
      const next = sung.indexOf((pitch + up) % 12, at);
      if (next >= 0 && next - at < 24) {
        found++;
        at = next + 1;
      }
    }
    best = Math.max(best, found);
  }
  const share = melody.length > 0 ? best / melody.length : 0;
  const good = plan.notes.length > 0 && sung.length > 0 && share >= LEAST;
  failed ||= !good;
  console.log(`${good ? 'ok' : 'NOT'} ${name}: ${plan.bars.length} bars, ${plan.notes.length} notes, tune ${best} of ${melody.length}`);
}
process.exit(failed ? 1 : 0);
