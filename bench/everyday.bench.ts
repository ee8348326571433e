/** The lamp over everyday jobs and over those a master refuses, on a press known well, roughly and not at all: a table. Run by `npm run bench`. */
import { STARTING_HOUSE } from '../src/core/house';
import { phraseText } from '../src/core/units';
import { cardOf, EVERYDAY, everyday, REFUSED } from '../test/everyday';

const whys = (card: ReturnType<typeof cardOf>) =>
  card.lamp.findings.map((finding) => `${finding.level}: ${phraseText(finding.says, STARTING_HOUSE.units)}`).join('\n        ');

for (const known of [2, 5, null] as const) {
  const { clear, care, hold, cards } = everyday(known);
  console.log(
    `${EVERYDAY.length} everyday jobs, press ${known === null ? 'never measured' : `measured to ±${known} K`}: ${clear} Clear, ${care} Care, ${hold} Hold`,
  );
  for (const { job, card } of cards)
    if (card.lamp.state === 'hold' || (known === 2 && card.lamp.state === 'care'))
      console.log(`    ${card.lamp.state} ${job.with} on ${job.on}\n        ${whys(card)}`);
}
const refused = REFUSED.map((job) => ({ job, card: cardOf(job, 2, false) }));
const holds = refused.filter(({ card }) => card.lamp.state === 'hold');
console.log(
  `${REFUSED.length} jobs a master refuses: ${holds.length} Hold, ${refused.filter(({ card }) => card.lamp.state === 'clear').length} Clear`,
);
for (const { job, card } of refused)
  if (card.lamp.state !== 'hold' || !job.because.test(whys(card)))
    console.log(`    ${card.lamp.state} ${job.with} on ${job.on}\n        ${whys(card)}`);
