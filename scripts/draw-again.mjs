// Does a public draw again from its record alone: node scripts/draw-again.mjs record.json
// It shares no code with the program. Exit code 0 where every step is as the record says.
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';

const record = JSON.parse(readFileSync(process.argv[2], 'utf8'));
const troubles = [];
const turn = record.entrants.map((entrant) => {
  const ticket = createHash('sha256').update(`${record.seed}|${entrant.id}`).digest('hex');
  if (ticket !== entrant.ticket) troubles.push(`${entrant.name}: the ticket should be ${ticket}`);
  return { ...entrant, ticket, first: record.rule === 'returningFirst' && entrant.returning ? 0 : 1 };
});
turn.sort((a, b) => a.first - b.first || (a.ticket < b.ticket ? -1 : 1));

const left = new Set(record.plots.map((plot) => plot.id));
turn.forEach((entrant, i) => {
  const plot = entrant.takes.find((id) => left.has(id)) ?? null;
  left.delete(plot);
  const said = record.steps[i];
  if (said?.entrant !== entrant.id) troubles.push(`step ${i + 1}: it is the turn of ${entrant.name}`);
  else if (said.plot !== plot) troubles.push(`step ${i + 1}: ${entrant.name} takes ${plot ?? 'nothing'}`);
});
if (record.steps.length !== turn.length) troubles.push('not as many steps as entrants');

for (const trouble of troubles) console.error(trouble);
console.log(
  troubles.length === 0 ? `The record is true: ${turn.length} entrants.` : 'The record is not true.',
);
process.exit(troubles.length === 0 ? 0 : 1);
