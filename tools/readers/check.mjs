// Independent readers look at what Phalanx writes: verovio engraves the score without a complaint, @tonejs/midi finds
// every note at its pitch and time, abcjs parses the tune without a warning and finds its notes.
// Usage: node check.mjs FOLDER NAME...   with NAME.plan.json, NAME.musicxml, NAME.mid, NAME.abc in FOLDER.
import fs from 'node:fs';
import path from 'node:path';
import createVerovioModule from 'verovio/wasm';
import { VerovioToolkit } from 'verovio/esm';
import midi from '@tonejs/midi';
import abcjs from 'abcjs';

const [folder, ...names] = process.argv.slice(2);
const complaints = [];
const seen = [];
for (const kind of ['log', 'warn', 'error', 'info']) {
  const before = console[kind];
  console[kind] = (...words) => (kind === 'log' && words[0]?.startsWith?.('ok') ? before(...words) : seen.push(words.join(' ')));
}
const toolkit = new VerovioToolkit(await createVerovioModule());
const complain = (name, words) => complaints.push(`${name}: ${words}`);

for (const name of names) {
  const read = (ending) => fs.readFileSync(path.join(folder, name + ending));
  const plan = JSON.parse(read('.plan.json'));

  const score = read('.musicxml').toString();
  seen.length = 0;
  if (!toolkit.loadData(score)) complain(name, 'verovio cannot read the score');
  for (let page = 1; page <= toolkit.getPageCount(); page++) toolkit.renderToSVG(page);
  seen.filter((line) => /\[(Error|Warning)\]/.test(line)).slice(0, 3).forEach((line) => complain(name, line));
  const written = (score.match(/<pitch>/g) ?? []).length;
  const engraved = (toolkit.getMEI().match(/<note /g) ?? []).length;
  const unpitched = (score.match(/<unpitched>/g) ?? []).length;
  if (engraved !== written + unpitched) complain(name, `verovio has ${engraved} notes of ${written + unpitched}`);

  const sequence = new midi.Midi(read('.mid'));
  const perQuarter = sequence.header.ppq / plan.divisions;
  const heard = sequence.tracks.filter((t) => t.channel !== 9).flatMap((t) => t.notes);
  if (heard.length !== plan.notes.length) complain(name, `${heard.length} MIDI notes of ${plan.notes.length}`);
  const waiting = heard.map((n) => ({ midi: n.midi, tick: n.ticks / perQuarter }));
  for (const note of plan.notes) {
    // Swing and rolls move a stroke within its beat.
    const at = waiting.findIndex((n) => n.midi === note.midi && Math.abs(n.tick - note.tick) < plan.divisions / 3);
    if (at < 0) complain(name, `no MIDI note ${note.midi} at ${note.tick}`);
    else waiting.splice(at, 1);
  }
  if (Math.abs(sequence.header.tempos[0].bpm - plan.tempo) > 0.01) complain(name, 'another tempo in MIDI');

  const tunes = abcjs.parseOnly(read('.abc').toString());
  (tunes[0].warnings ?? []).forEach((w) => complain(name, w.replace(/<[^>]*>/g, '')));
  let sung = 0;
  for (const line of tunes[0].lines) {
    for (const staff of line.staff ?? []) {
      for (const element of staff.voices.flat()) sung += element.pitches ? 1 : 0;
    }
  }
  console.log(`ok ${name}: ${engraved} engraved, ${heard.length} heard, ${sung} in the tune`);
}
complaints.forEach((line) => process.stderr.write(line + '\n'));
process.exit(complaints.length > 0 ? 1 : 0);
