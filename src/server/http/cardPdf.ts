/** The card on paper: one page to hang at the press, usable when the tablet is dead. */

import PDFDocument from 'pdfkit';
import { type Card, type ClosingFigures, closingsOfCard, letteringOf, resolve, writtenWords } from '../../core/card';
import { layerName } from '../../core/draft';
import { COVER_SHEETS } from '../../core/heat';
import type { House } from '../../core/house';
import { sidedWords } from '../../core/materials';
import { formatDuration, formatForHouse, formatQuantity, type HouseUnits, type Phrase, phraseText } from '../../core/units';
import { dayOf } from '../day';
import { invalid, notFound } from '../refusal';
import { inputOf, readFacts } from '../stores/cards';
import { findOrder } from '../stores/orders';
import type { Db } from '../stores/perShop';
import { lampShape } from './lampShape';
import { bytesOf, type Doc, fonts, INK, PAPERS, PrintQuery, SOFT, write } from './pdf';

const MARGIN = 36;
const LAMP = { clear: 'Clear', care: 'Care', hold: 'Hold: do not press' } as const;
/** Text sizes tried until all of it stands on one page, points. */
const SIZES = [10, 9.5, 9, 8.5, 8, 7.5, 7, 6.5, 6, 5.5, 5];
interface Sheet {
  card: Card;
  orderName: string;
  due: string;
  house: House;
  printedOn: string;
}

/** A letter R as it must look on the sheet. */
function letterR(doc: Doc, mirror: Card['set']['mirror'], x: number, y: number): void {
  doc.save().translate(x, y).lineWidth(1).strokeColor(INK).rect(0, 0, 40, 40).stroke();
  if (mirror === 'mirrored') doc.translate(40, 0).scale(-1, 1);
  doc.lineWidth(mirror === 'mirrored' || mirror === 'as read' ? 3.4 : 1.4);
  doc.path('M14 32V10h7c4 0 7 2.3 7 6s-3 6-7 6h-7M21 22l8 10').stroke().restore();
}

const MIRROR_WORDS: Record<Card['set']['mirror'], string> = {
  mirrored: 'on the sheet an R reads backwards',
  'as read': 'on the sheet an R reads as in a book',
  'by the supplier': 'printed ready by the supplier',
  'by the printer path': 'the printer turns it: check one first',
};

function lampMark(doc: Doc, { lamp }: Card, x: number, y: number): void {
  const word = LAMP[lamp.state];
  lampShape(doc, lamp.state, x, y, 15);
  doc.fillColor(INK).fontSize(12);
  const cautions = lamp.findings.filter((finding) => finding.level === 'care').length;
  doc.x = x + 22;
  doc.y = y + 1;
  write(doc, lamp.state === 'care' ? `${word} · ${cautions}` : word, 'bold', { lineBreak: false });
}

/** The set values, large, with what stands small under each. */
function setValues(doc: Doc, { card, house }: Sheet, y: number, width: number): number {
  const { set, window } = card;
  const { setting } = set.pressure;
  const gauge =
    setting.gauge === 'dial'
      ? `dial ${setting.reading.toFixed(1)}`
      : setting.gauge === 'air'
        ? formatForHouse('linePressure', setting.lineKPa, house.units)
        : set.pressure.band;
  const unit = window.settable.unit;
  const values: [string, string][] = [
    [
      formatQuantity(set.tempC, unit),
      `${formatQuantity(set.tempC, unit === 'F' ? 'C' : 'F')}${set.lowerC === null ? '' : `, lower ${formatQuantity(set.lowerC, unit)}`}`,
    ],
    [formatDuration(set.timeS), set.spots > 1 ? `each of ${set.spots} spots` : 'under heat'],
    [gauge, `${set.pressure.band}, ${formatForHouse('contactPressure', set.pressure.contactKPa, house.units)} of contact`],
    [set.peel === 'none' ? 'no peel' : set.peel, set.cover ? `under ${COVER_SHEETS[set.cover].name}` : 'no cover'],
  ];
  const each = width / values.length;
  values.forEach(([figure, small], i) => {
    doc.x = MARGIN + i * each;
    doc.y = y;
    doc.fillColor(INK).fontSize(23);
    write(doc, figure, 'bold', { width: each - 8, lineBreak: false });
    doc.x = MARGIN + i * each;
    doc.y = y + 28;
    doc.fillColor(SOFT).fontSize(9);
    write(doc, small, 'plain', { width: each - 8 });
  });
  return y + 54;
}

/** One closing in a line: the large figures are those of the full press alone. */
function closingWords(
  { kind, tempC, timeS, band, setting, cover, peel, lowerC }: ClosingFigures,
  { window }: Card,
  units: HouseUnits,
): string {
  const { unit } = window.settable;
  const gauge =
    setting.gauge === 'dial'
      ? `, dial ${setting.reading.toFixed(1)}`
      : setting.gauge === 'air'
        ? `, ${formatForHouse('linePressure', setting.lineKPa, units)} line`
        : '';
  const lower = lowerC === null ? '' : `, lower ${formatQuantity(lowerC, unit)}`;
  const over = cover ? COVER_SHEETS[cover].name : 'no cover';
  return `${kind.charAt(0).toUpperCase()}${kind.slice(1)}: ${formatQuantity(tempC, unit)}${lower}, ${formatDuration(timeS)}, ${band}${gauge}, ${over}${peel === 'none' ? '' : `, ${peel} peel`}.`;
}

/** Everything under the set values at one text size; returns where it ended. */
function body(doc: Doc, sheet: Sheet, from: number, size: number, width: number): number {
  const { card, house } = sheet;
  const text = (words: Phrase) => phraseText(words, house.units as HouseUnits);
  const left = MARGIN;
  let y = from;
  const para = (words: string, font: 'plain' | 'bold', x: number, w: number, colour: string = INK) => {
    doc.x = x;
    doc.y = y;
    doc.fillColor(colour).fontSize(size);
    write(doc, words, font, { width: w, lineGap: 0.5 });
    y = doc.y + 1.5;
  };
  for (const finding of card.lamp.findings)
    para(`${finding.level === 'hold' ? 'HOLD' : 'Care'}: ${text(finding.says)}`, finding.level === 'hold' ? 'bold' : 'plain', left, width);
  const closings = closingsOfCard(card);
  const lettering = letteringOf(card);
  for (const [i, { mirror }] of lettering.entries()) letterR(doc, mirror, left + 50 * i, y + 4);
  const beside = left + 2 + 50 * lettering.length;
  const written = writtenWords(card, house.units as HouseUnits);
  const facts = [
    ...lettering.map(({ mirror, layers }) => `Mirror${layers.length > 0 ? `, ${layers.join(', ')}` : ''}: ${MIRROR_WORDS[mirror]}.`),
    `Base: ${card.set.base}${card.set.pad === 'none' ? '' : `, ${card.set.pad}`}${card.set.platen ? `, ${card.set.platen}` : ''}.`,
    ...(written ? [`Sheet: ${written} (${card.of.sheet.on}).`] : []),
    `Layers: ${card.of.layers.map(layerName).join(', then ')}.`,
    `Stages: ${card.stages.map((stage) => `${stage.kind} ${formatDuration(stage.timeS)}`).join(' · ')}.`,
    ...(closings.length > 1 ? closings.map((closing) => closingWords(closing, card, house.units as HouseUnits)) : []),
  ];
  const factsFrom = y;
  y += 4;
  for (const fact of facts) para(fact, 'plain', beside, width - (beside - left));
  y = Math.max(y, factsFrom + 50) + 4;
  if (hasOwnRoster(card)) para(`Roster: ${card.of.roster.length} names, on the pages after this one.`, 'bold', left, width);
  else if (card.of.roster.length > 0)
    para(`Roster: ${card.of.roster.map(({ number, name }) => [number, name].filter(Boolean).join(' ')).join(' · ')}`, 'bold', left, width);
  doc
    .moveTo(left, y)
    .lineTo(left + width, y)
    .lineWidth(0.5)
    .strokeColor(SOFT)
    .stroke();
  y += 4;
  card.steps.forEach((step, i) => {
    const at = y;
    para(String(i + 1), 'bold', left, 16, SOFT);
    y = at;
    para(text(step.says), 'plain', left + 20, width - 20);
    if (step.safety) para(`! ${text(step.safety)}`, 'bold', left + 20, width - 20, SOFT);
  });
  return y;
}

/** A roster longer than this stands on pages of its own. */
const LONG_ROSTER = 60;
const hasOwnRoster = ({ of }: Card): boolean => of.roster.length > LONG_ROSTER;
const ROSTER = { size: 9, line: 13, columns: 3 } as const;

/** A long roster in columns, a name a line, by its pieces. */
function rosterPages(doc: Doc, { card, orderName }: Sheet, paper: keyof typeof PAPERS): void {
  const [width, height] = PAPERS[paper];
  const each = (width - 2 * MARGIN) / ROSTER.columns;
  const top = MARGIN + 26;
  const rows = Math.floor((height - MARGIN - top) / ROSTER.line);
  card.of.roster.forEach(({ number, name }, i) => {
    const place = i % (rows * ROSTER.columns);
    if (place === 0) {
      doc.addPage();
      doc.x = MARGIN;
      doc.y = MARGIN;
      doc.fillColor(INK).fontSize(12);
      write(doc, `${orderName}: roster`, 'bold', { width: width - 2 * MARGIN, height: 16, ellipsis: true, lineBreak: false });
    }
    doc.x = MARGIN + Math.floor(place / rows) * each;
    doc.y = top + (place % rows) * ROSTER.line;
    doc.fillColor(INK).fontSize(ROSTER.size);
    write(doc, `${i + 1}. ${[number, name].filter(Boolean).join(' ')}`, 'plain', { width: each - 8, lineBreak: false });
  });
}

function page(sheet: Sheet, paper: keyof typeof PAPERS, size: number): { doc: Doc; fits: boolean } {
  const [width, height] = PAPERS[paper];
  const { card } = sheet;
  const { of } = card;
  let pages = 1;
  const doc = fonts(
    new PDFDocument({
      size: [width, height],
      margin: 0,
      autoFirstPage: true,
      info: { Title: `Card: ${sheet.orderName}`, Creator: 'Tidy Beacon' },
    }),
  );
  // text that runs over begins a page of its own
  doc.on('pageAdded', () => pages++);
  const inner = width - 2 * MARGIN;
  doc.x = MARGIN;
  doc.y = MARGIN;
  doc.fillColor(INK).fontSize(15);
  write(doc, sheet.orderName, 'bold', { width: inner - 130, height: 20, ellipsis: true, lineBreak: false });
  lampMark(doc, card, width - MARGIN - 130, MARGIN);
  doc.x = MARGIN;
  doc.y = MARGIN + 22;
  doc.fillColor(SOFT).fontSize(10);
  write(doc, `${of.blankName} ${of.size}, ${of.fabricName} · ${of.artName}, ${of.position} · ${of.pressName} · due ${sheet.due}`, 'plain', {
    width: inner,
  });
  const top = setValues(doc, sheet, doc.y + 10, inner);
  const end = body(doc, sheet, top, size, inner);
  const foot = height - MARGIN - 10;
  doc.x = MARGIN;
  doc.y = foot;
  doc.fillColor(SOFT).fontSize(7.5);
  write(
    doc,
    `${of.productName}: ${of.sheet.name} of ${of.sheet.on}. Worked out ${sheet.printedOn} by Tidy Beacon. The makers’ own instructions come first.`,
    'plain',
    { width: inner, lineBreak: false },
  );
  return { doc, fits: pages === 1 && end <= foot - 4 };
}

/** The PDF of a card, in the largest text at which it stands on one page. */
function cardPdf(sheet: Sheet, paper: keyof typeof PAPERS): Promise<Buffer> {
  // what fits in one size fits in every smaller one
  let [low, high] = [0, SIZES.length - 1];
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    if (page(sheet, paper, SIZES[middle] as number).fits) high = middle;
    else low = middle + 1;
  }
  const { doc } = page(sheet, paper, SIZES[low] as number);
  if (hasOwnRoster(sheet.card)) rosterPages(doc, sheet, paper);
  return bytesOf(doc);
}

/** @throws {Refusal} 404 there is no such print; 422 a query that cannot be read */
export async function cardFile(
  db: Db,
  orderId: string,
  params: Record<string, string>,
): Promise<{ bytes: Uint8Array; name: string; type: string }> {
  const query = PrintQuery.safeParse(params);
  if (!query.success) throw invalid(query.error, 'Query');
  const { doc: order } = findOrder(db, orderId);
  const line = order.lines.find((line) => line.id === query.data.line);
  const print = line?.prints.find((print) => print.key === query.data.print);
  if (!line || !print) throw notFound('print', query.data.print);
  const facts = readFacts(db);
  const card = resolve(inputOf(facts, order, line, print));
  const pdf = await cardPdf(
    { card, orderName: order.name, due: order.due, house: facts.house, printedOn: dayOf(Date.now()) },
    query.data.paper,
  );
  return { bytes: new Uint8Array(pdf), name: `card-${line.size}-${sidedWords(print)}.pdf`, type: 'application/pdf' };
}
