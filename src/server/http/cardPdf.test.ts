/** The card on paper, read back by a renderer of its own: every stage in a row with its figures, each safety sentence once. */
import { PDFiumLibrary } from '@hyzyla/pdfium';
import { describe, expect, it } from 'vitest';
import { ownShop } from '../../../test/api';
import { closingsOfCard, resolve } from '../../core/card';
import { formatDuration, formatQuantity, phraseText } from '../../core/units';
import { shop } from '../shop';
import { inputOf, readFacts } from '../stores/cards';
import { findOrder } from '../stores/orders';
import { cardFile } from './cardPdf';

ownShop();

const plain = (text: string) => text.replaceAll('\u00a0', ' ').replace(/\s+/g, ' ');

describe('the card on paper', () => {
  it.each(['order-nebula', 'order-hard'])(
    '%s: the figures of each closing stand in its row, and each safety sentence stands once',
    async (id) => {
      const { db } = shop();
      const { doc: order } = findOrder(db, id);
      const line = order.lines[0];
      const print = line?.prints[0];
      if (!line || !print) throw new Error('the demo has such a line');
      const facts = readFacts(db);
      const card = resolve(inputOf(facts, order, line, print));
      const { bytes } = await cardFile(db, id, { line: line.id, print: print.key });
      const library = await PDFiumLibrary.init();
      const document = await library.loadDocument(bytes);
      expect(document.getPageCount()).toBe(1);
      const text = plain(document.getPage(0).getText());
      document.destroy();
      library.destroy();
      for (const { kind, tempC, timeS, band } of closingsOfCard(card))
        expect(text).toContain(plain(`${kind} ${formatQuantity(tempC, card.window.settable.unit)} ${formatDuration(timeS)} ${band}`));
      const sentences = new Set(
        card.steps.flatMap(({ safety }) => (safety ? plain(phraseText(safety, facts.house.units)).split(/(?<=\.) +/) : [])),
      );
      expect(sentences.size).toBeGreaterThan(1);
      for (const sentence of sentences) expect([sentence, text.split(sentence).length - 1]).toEqual([sentence, 1]);
    },
  );
});
