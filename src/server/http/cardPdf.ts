/** The card on paper: one page to hang at the press, usable when the tablet is dead. */

import PDFDocument from 'pdfkit';
import { type Card, figuresAt, letteringOf, placeWords, resolve, writtenWords } from '../../core/card';
import { layerName, poseOf } from '../../core/draft';
import { COVER_SHEETS } from '../../core/heat';
import type { House } from '../../core/house';
import { sidedWords } from '../../core/materials';
import { type Guide, guideOf } from '../../core/placement';
import { formatDuration, formatForHouse, formatQuantity, type HouseUnits, type Phrase, phraseText } from '../../core/units';
import { dayOf } from '../day';
import { invalid, notFound } from '../refusal';
import { inputOf, readFacts } from '../stores/cards';
import { findOrder } from '../stores/orders';
import type { Db } from '../stores/perShop';
import { drawLines } from './guideLines';
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
  /** Where the print goes, in words, and as a drawing; null: it has no place on its blank. */
  place: string | null;
  guide: Guide | null;
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

const HAIRLINE = '#c3cbd1';
const COLUMNS = ['', 'heat', 'time', 'pressure', 'cover', 'peel'] as const;
/** Of the width of the page. */
const COLUMN_SHARES = [0.16, 0.2, 0.1, 0.22, 0.2, 0.12] as const;

/** The figures of one stage; what the hands and the clock do has its time alone. */
function stageCells(card: Card, i: number, units: HouseUnits): string[] {
  const { unit } = card.window.settable;
  const stage = card.stages[i];
  const closing = stage?.by === 'press' ? figuresAt(card, i) : null;
  if (!closing) return [stage?.kind ?? '', '', formatDuration(stage?.timeS ?? 0), '', '', ''];
  const { kind, tempC, timeS, band, setting, cover, peel, lowerC } = closing;
  const gauge =
    setting.gauge === 'dial'
      ? `, dial ${setting.reading.toFixed(1)}`
      : setting.gauge === 'air'
        ? `, ${formatForHouse('linePressure', setting.lineKPa, units)}`
        : '';
  const heat = `${formatQuantity(tempC, unit)}${lowerC === null ? '' : `, lower ${formatQuantity(lowerC, unit)}`}`;
  return [kind, heat, formatDuration(timeS), `${band}${gauge}`, cover ? COVER_SHEETS[cover].name : 'none', peel === 'none' ? '' : peel];
}

/** Every stage in a row with its own figures, the closings bold; returns where it ended. */
function stageTable(doc: Doc, { card, house }: Sheet, from: number, size: number, width: number): number {
  const line = size * 1.35;
  let y = from;
  const row = (cells: readonly string[], font: 'plain' | 'bold', colour: string) => {
    let x = MARGIN;
    cells.forEach((cell, i) => {
      const each = width * (COLUMN_SHARES[i] ?? 0);
      doc.x = x;
      doc.y = y;
      doc.fillColor(colour).fontSize(size);
      write(doc, cell, font, { width: each - 4, height: line, ellipsis: true, lineBreak: false });
      x += each;
    });
    y += line;
    doc
      .moveTo(MARGIN, y - 2)
      .lineTo(MARGIN + width, y - 2)
      .lineWidth(0.3)
      .strokeColor(HAIRLINE)
      .stroke();
  };
  row(COLUMNS, 'plain', SOFT);
  card.stages.forEach((stage, i) => {
    row(stageCells(card, i, house.units), stage.by === 'press' ? 'bold' : 'plain', INK);
  });
  return y + 4;
}

/** The placement, small: its seam, the art's box and what it is laid by. Returns how high it is. */
function placementDrawing(doc: Doc, guide: Guide, x: number, y: number): number {
  const scale = Math.min(DRAWING.width / guide.widthMm, DRAWING.height / guide.heightMm);
  doc.save().translate(x, y).scale(scale);
  drawLines(doc, guide.lines, 0.9 / scale);
  doc.restore();
  return guide.heightMm * scale;
}
/** Room for it, points. */
const DRAWING = { width: 130, height: 110 } as const;

/** Each sentence of the safety lines once, in full at the first step it belongs to; after that its sign alone. */
function signsOf(lines: readonly (string | null)[]): { full: string[]; signs: string[] }[] {
  const known: string[] = [];
  return lines.map((line) => {
    const sentences = line?.split(/(?<=\.) +/) ?? [];
    const fresh = sentences.filter((sentence) => !known.includes(sentence));
    known.push(...fresh);
    const sign = (sentence: string) => `!${known.indexOf(sentence) + 1}`;
    return {
      full: fresh.map((sentence) => `${sign(sentence)} ${sentence}`),
      signs: sentences.filter((sentence) => !fresh.includes(sentence)).map(sign),
    };
  });
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
  const lettering = letteringOf(card);
  for (const [i, { mirror }] of lettering.entries()) letterR(doc, mirror, left + 50 * i, y + 4);
  const beside = left + 2 + 50 * lettering.length;
  const written = writtenWords(card, house.units as HouseUnits);
  const facts = [
    ...lettering.map(({ mirror, layers }) => `Mirror${layers.length > 0 ? `, ${layers.join(', ')}` : ''}: ${MIRROR_WORDS[mirror]}.`),
    `Base: ${card.set.base}${card.set.pad === 'none' ? '' : `, ${card.set.pad}`}${card.set.platen ? `, ${card.set.platen}` : ''}.`,
    ...(written ? [`Sheet: ${written} (${card.of.sheet.on}).`] : []),
    `Layers: ${card.of.layers.map(layerName).join(', then ')}.`,
    ...(sheet.place ? [`Place: ${sheet.place}`] : []),
  ];
  const factsFrom = y;
  y += 4;
  const drawn = sheet.guide ? placementDrawing(doc, sheet.guide, left + width - DRAWING.width, factsFrom + 4) : 0;
  const room = drawn > 0 ? DRAWING.width + 12 : 0;
  for (const fact of facts) para(fact, 'plain', beside, width - (beside - left) - room);
  y = stageTable(doc, sheet, Math.max(y, factsFrom + 50, factsFrom + drawn + 8) + 4, size, width);
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
  const signs = signsOf(card.steps.map(({ safety }) => (safety ? text(safety) : null)));
  card.steps.forEach((step, i) => {
    const at = y;
    const sign = signs[i];
    para(String(i + 1), 'bold', left, 16, SOFT);
    y = at;
    para([text(step.says), ...(sign?.signs ?? [])].join('  '), 'plain', left + 20, width - 20);
    if (sign && sign.full.length > 0) para(sign.full.join('  '), 'bold', left + 20, width - 20, SOFT);
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
  const input = inputOf(facts, order, line, print);
  const card = resolve(input);
  const pose = poseOf(input);
  const placed = pose.placement
    ? { place: phraseText(placeWords({ ...input, pose }), facts.house.units), guide: guideOf(pose.placement, []) }
    : { place: null, guide: null };
  const pdf = await cardPdf(
    { card, orderName: order.name, due: order.due, house: facts.house, printedOn: dayOf(Date.now()), ...placed },
    query.data.paper,
  );
  return { bytes: new Uint8Array(pdf), name: `card-${line.size}-${sidedWords(print)}.pdf`, type: 'application/pdf' };
}
