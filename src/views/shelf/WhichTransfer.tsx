/** Which transfer for this? A blank, an art and a count; every transfer and every family ranked, with the reason beside each. */

import { useEffect, useState } from 'react';
import { call, type Reply } from '../../contract';
import { type Blank, DUTIES, type Duty } from '../../core/materials';
import { ART_KINDS, type ArtKind } from '../../core/sheet';
import { formatDuration, formatQuantity, houseUnit, oddsWords, WIDTH_AND_HEIGHT } from '../../core/units';
import { workText } from '../../ui/days';
import { ChoiceField } from '../../ui/Field';
import { useUnits } from '../../ui/house';
import { Lamp } from '../../ui/Lamp';
import { NumberField } from '../../ui/NumberField';
import { QuantityField } from '../../ui/QuantityField';
import { errorWords, Island, Pending, useRoute } from '../../ui/query';
import { Says } from '../../ui/Says';
import { PickField } from '../orders/PickField';

/** @param search what it is asked from, and the print to go back to: blank, count, art, w, h; order, line, print */
export function WhichTransfer({ search }: { search: string }) {
  return (
    <Island>
      <Page asked={new URLSearchParams(search)} />
    </Island>
  );
}

type Ranked = Reply<'whichTransfer'>['ranked'];
const plain = <const T extends string>(values: readonly T[]) => values.map((value) => ({ value, text: value }));

interface Wish {
  blankId: string;
  shade: 'light' | 'dark';
  artKind: ArtKind;
  widthMm: number;
  heightMm: number;
  count: number;
  duty: Duty;
}

/** What the address asks for, with something usual where it says nothing. */
function wishFrom(asked: URLSearchParams, blank: Blank): Wish {
  const figure = (name: string, usual: number) => {
    const value = Number(asked.get(name));
    return value > 0 ? value : usual;
  };
  return {
    blankId: blank.id,
    shade: blank.shade,
    artKind: ART_KINDS.find((kind) => kind === asked.get('art')) ?? 'full colour',
    widthMm: figure('w', 80),
    heightMm: figure('h', 80),
    count: Math.min(1000, Math.round(figure('count', 12))),
    duty: blank.duty,
  };
}

/** What serves this art, what would serve another, and what does not serve at all. */
const GROUPS = [
  { name: 'For this art', has: (suited: Ranked[number]) => suited.lamp !== 'hold' && suited.suitsArt },
  { name: 'Would need other art', has: (suited: Ranked[number]) => suited.lamp !== 'hold' && !suited.suitsArt },
  { name: 'Not on this blank', has: (suited: Ranked[number]) => suited.lamp === 'hold' },
] as const;

/** The way back to the print that asked, with a transfer taken. */
function hrefBack(asked: URLSearchParams, productId: string): string | null {
  const [order, line, print] = [asked.get('order'), asked.get('line'), asked.get('print')];
  return order && line && print ? `/orders/${encodeURIComponent(order)}?${new URLSearchParams({ line, use: productId, print })}` : null;
}

function Page({ asked }: { asked: URLSearchParams }) {
  const shelf = useRoute('shelf', {});
  const house = useUnits();
  const [wish, setWish] = useState<Wish | null>(null);
  const [ranked, setRanked] = useState<Ranked | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const blanks = shelf.data?.blanks.filter((blank) => !blank.retiredOn) ?? [];
  const first = blanks.find((blank) => blank.id === asked.get('blank')) ?? blanks[0];
  if (first && !wish) setWish(wishFrom(asked, first));
  useEffect(() => {
    if (!wish) return undefined;
    let late = false;
    const timer = setTimeout(() => {
      call('whichTransfer', { body: { ...wish, size: '' } }).then(
        (reply) => {
          if (late) return;
          setRanked(reply.ranked);
          setFault(null);
        },
        (error: unknown) => !late && setFault(errorWords(error)),
      );
    }, 120);
    return () => {
      late = true;
      clearTimeout(timer);
    };
  }, [wish]);
  if (!shelf.data) return <Pending error={shelf.error} what="the shelf" />;
  if (!wish)
    return (
      <p className="m-6 max-w-prose">
        The shelf has no blank yet. <a href="/shelf/blanks/new">Add one</a>, and every transfer is ranked for it here.
      </p>
    );
  const patch = (part: Partial<Wish>) => setWish({ ...wish, ...part });
  const length = houseUnit('length', house).first;
  return (
    <div className="mx-auto grid max-w-[77.5rem] gap-8 px-5 pt-4 min-[50rem]:grid-cols-[19rem_1fr]">
      <form aria-label="What is to be pressed" onSubmit={(event) => event.preventDefault()}>
        <h1 className="pb-3">Which transfer for this?</h1>
        <PickField
          label="Blank"
          value={wish.blankId}
          onChange={(blankId) => {
            const blank = blanks.find((blank) => blank.id === blankId);
            if (blank) patch({ blankId, shade: blank.shade, duty: blank.duty });
          }}
          items={blanks.map((blank) => ({
            id: blank.id,
            name: blank.name,
            detail: `${blank.colour}, ${shelf.data.fabrics.find((f) => f.id === blank.fabricId)?.name ?? ''}`,
          }))}
        />
        <div className="grid grid-cols-2 gap-x-4 pt-3">
          <ChoiceField label="Its colour is" value={wish.shade} options={plain(['light', 'dark'])} onChange={(shade) => patch({ shade })} />
          <NumberField label="Pieces" whole value={wish.count} onChange={(count) => patch({ count })} />
          <div className="col-span-2">
            <ChoiceField label="The art is" value={wish.artKind} options={plain(ART_KINDS)} onChange={(artKind) => patch({ artKind })} />
          </div>
          {WIDTH_AND_HEIGHT.map((field) => (
            <QuantityField
              key={field}
              label={field === 'widthMm' ? 'Width' : 'Height'}
              kind="length"
              unit={length}
              house={house}
              value={wish[field]}
              onChange={(value) => value !== null && value > 0 && patch({ [field]: value })}
              min={1}
              max={2000}
            />
          ))}
          <div className="col-span-2">
            <ChoiceField label="It will be" value={wish.duty} options={plain(DUTIES)} onChange={(duty) => patch({ duty })} />
          </div>
        </div>
      </form>
      <section aria-label="Transfers, best first" aria-live="polite">
        {fault && (
          <p role="alert" className="border-l-4 border-brick pl-3 text-brick">
            {fault}
          </p>
        )}
        {ranked?.length === 0 && <p>There is no press to press it on. Add one under Presses.</p>}
        {ranked &&
          GROUPS.map(({ name, has }) => {
            const group = ranked.filter(has);
            return group.length === 0 ? null : (
              <section key={name} aria-label={name} className="pb-4">
                <h2 className="rule-bottom pb-1 text-lg">{name}</h2>
                <ol>
                  {group.map((suited) => (
                    <Suited
                      key={suited.productId}
                      one={suited}
                      best={suited === ranked[0] && name === GROUPS[0].name}
                      count={wish.count}
                      use={suited.onShelf ? hrefBack(asked, suited.productId) : null}
                    />
                  ))}
                </ol>
              </section>
            );
          })}
      </section>
    </div>
  );
}

function Suited({ one, best, count, use }: { one: Ranked[number]; best: boolean; count: number; use: string | null }) {
  const [first, ...rest] = one.reasons;
  return (
    <li
      className={`rule-bottom grid items-start gap-x-4 gap-y-1 py-2.5 min-[50rem]:grid-cols-[6rem_1fr_11rem] ${one.lamp === 'hold' ? 'text-soft' : ''}`}
    >
      <Lamp state={one.lamp} cautions={one.cautions} />
      <div className="min-w-0">
        <span className={best ? 'text-lg font-bold' : 'font-semibold'}>
          {one.onShelf ? (
            <a className="inline-flex min-h-11 items-center" href={`/shelf?kind=products&on=${one.productId}`}>
              {one.name}
            </a>
          ) : (
            one.name
          )}
        </span>{' '}
        <span className="label">{one.onShelf ? one.familyName : 'not on the shelf: general figures'}</span>
        <span className="block">
          {first && <Says words={first} />}
          {rest.length > 0 && <span className="label"> and {rest.length} more</span>}
        </span>
      </div>
      <div className="leading-tight">
        <span className="figure">
          {formatQuantity(one.setC, one.unit)} · {formatDuration(one.timeS)}
        </span>
        <span className="label block">
          {one.pressName}
          {one.lamp === 'hold' ? '' : `, ${oddsWords(one.soundChance).toLowerCase()} sound`}
        </span>
        <span className="label block">
          about {workText(one.minutes)} for {count}
        </span>
        {use && (
          <a className={`act mt-2 ${best ? 'act-main' : one.lamp === 'hold' ? 'act-quiet' : ''}`} href={use}>
            Use it
          </a>
        )}
      </div>
    </li>
  );
}
