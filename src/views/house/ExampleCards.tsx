/** The difference a school makes, shown on one piece: a card for each answer, with only what differs between them. */
import { useRef } from 'react';
import { type House, SCHOOLS } from '../../core/house';
import { phraseText } from '../../core/units';
import { useRoute } from '../../ui/query';

export function ExampleCards({ rule, house }: { rule: keyof House['rules']; house: House }) {
  const { units, rules, figures, room } = house;
  const { data } = useRoute('computeSchool', { body: { rule, house: { units, rules, figures, room, operators: [] } } });
  // the last one stays until the next is there, and while what is typed makes no house
  const shown = useRef<{ rule: typeof rule; example: NonNullable<typeof data> } | null>(null);
  if (data) shown.current = { rule, example: data };
  if (!shown.current) return <section aria-label="Example" />;
  const { piece, answers } = shown.current.example;
  const school = SCHOOLS.find((school) => school.rule === shown.current?.rule);
  return (
    <section aria-label="Example" aria-live="polite">
      <h2>{school?.question}</h2>
      <p className="label pb-2">for example: {piece}</p>
      {answers.map(({ value, facts, steps }) => {
        const on = school && rules[school.rule] === value;
        return (
          <div key={value} className={`rule-top border-l-4 py-2 pl-3 ${on ? 'border-l-teal bg-sheet' : 'border-l-transparent'}`}>
            <p className="font-semibold">
              {school?.answers.find((answer) => answer.value === value)?.text}
              {on && <span className="label font-normal"> · the house’s choice</span>}
            </p>
            <dl className="text-[0.95rem]">
              {facts.map(({ name, says }) => (
                <div key={name} className="grid grid-cols-[6rem_1fr] gap-2">
                  <dt className="label">{name}</dt>
                  <dd>{phraseText(says, units)}</dd>
                </div>
              ))}
            </dl>
            {steps.slice(0, 2).map((says, i) => (
              <p key={i} className="label pt-0.5">
                {phraseText(says, units)}
              </p>
            ))}
          </div>
        );
      })}
    </section>
  );
}
