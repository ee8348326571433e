/** The difference a school makes, shown on one piece: a card for each answer, with only what differs between them. */
import { type House, SCHOOLS, schoolExample } from '../../core/card';
import { phraseText } from '../../core/units';

export function ExampleCards({ rule, house }: { rule: keyof House['rules']; house: House }) {
  const school = SCHOOLS.find((one) => one.rule === rule);
  const { piece, answers } = schoolExample(rule, house);
  return (
    <section aria-label="Example" aria-live="polite">
      <h2>{school?.question}</h2>
      <p className="label pb-2">for example: {piece}</p>
      {answers.map(({ value, facts, steps }) => {
        const on = house.rules[rule] === value;
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
                  <dd>{phraseText(says, house.units)}</dd>
                </div>
              ))}
            </dl>
            {steps.slice(0, 2).map((says, i) => (
              <p key={i} className="label pt-0.5">
                {phraseText(says, house.units)}
              </p>
            ))}
          </div>
        );
      })}
    </section>
  );
}
