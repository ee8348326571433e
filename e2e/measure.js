/** What is wrong with a page as it is drawn: text that is cut, runs out of the window or lies on other text, and targets too small for a finger. A plain script, because it runs inside the page: `measure(isTouch)` is its last line's answer. */

/** A finger, less what rounding takes, px. */
const FINGER = 43.5;

const named = (text) => text.trim().replace(/\s+/g, ' ').slice(0, 40);
const isShown = (el) => el.checkVisibility({ opacityProperty: true, visibilityProperty: true });
const scrolls = /auto|scroll/;
const cuts = /hidden|clip/;

function* upwards(el) {
  for (let e = el; e && e !== document.body; e = e.parentElement) yield [e, getComputedStyle(e)];
}

/** Whether it scrolls in a frame of its own, stands over the page, lies in it, or is there for a screen reader alone. */
function placeOf(el) {
  let place = 'page';
  for (const [e, look] of upwards(el)) {
    if (cuts.test(look.overflowX) && e.clientWidth <= 1) return 'unseen';
    if (scrolls.test(look.overflowX) && e.scrollWidth > e.clientWidth + 1) return 'framed';
    if (look.position === 'fixed' || look.position === 'sticky') place = 'over';
  }
  return place;
}

function isCutBy(frame, look, box) {
  if (cuts.test(look.overflowX) && (box.right > frame.right + 1.5 || box.left < frame.left - 1.5)) return true;
  return cuts.test(look.overflowY) && box.bottom > frame.bottom + box.height * 0.4;
}

function isCut(el, box) {
  for (const [e, look] of upwards(el)) {
    if (look.display === 'inline') continue;
    if (scrolls.test(`${look.overflowX}${look.overflowY}`)) return false;
    if (isCutBy(e.getBoundingClientRect(), look, box)) return true;
  }
  return false;
}

const isForEyes = (el) => !el.closest('script, style, option, title, textarea, noscript, [hidden], .sr-only') && isShown(el);

/** Squeezed so that hardly a few letters stand on a line: a column was left no room. */
const isBroken = (text, boxes) => boxes.length > 3 && boxes.length > text.length / 4;

/** Every line of text on the page, with its box. */
function linesOf() {
  const lines = [];
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const el = node.parentElement;
    const text = named(node.textContent ?? '');
    if (!text || !isForEyes(el)) continue;
    const range = document.createRange();
    range.selectNodeContents(node);
    const place = placeOf(el);
    if (place === 'unseen') continue;
    const boxes = [...range.getClientRects()];
    for (const box of boxes)
      if (box.width >= 1 && box.height >= 1)
        lines.push({ el, text, box, place, isCut: isCut(el, box), isBroken: isBroken(node.textContent.trim(), boxes) });
  }
  return lines;
}

/** Letters reach less far up and down than the box of their line. */
const inked = (line) => ({ ...line, top: line.box.top + line.box.height * 0.24, bottom: line.box.bottom - line.box.height * 0.24 });

const lieOnEachOther = (a, b) =>
  a.el !== b.el && Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left) >= 2 && Math.min(a.bottom, b.bottom) - b.top >= 2;

function overlapped(lines) {
  const flat = lines
    .filter(({ place, isCut }) => place === 'page' && !isCut)
    .map(inked)
    .sort((a, b) => a.top - b.top);
  const pairs = [];
  flat.forEach((a, i) => {
    for (let j = i + 1; j < flat.length && flat[j].top < a.bottom; j++)
      if (lieOnEachOther(a, flat[j])) pairs.push(`${a.text} / ${flat[j].text}`);
  });
  return pairs;
}

/** A link in the middle of a sentence is as high as its line. */
const isInText = (el) =>
  getComputedStyle(el).display === 'inline' && (el.parentElement?.textContent ?? '').trim() !== (el.textContent ?? '').trim();

/** What a finger touches: a small box with a label is touched by the label. A drawing to its scale is as large as what it draws. */
function tooSmall() {
  const targets = document.querySelectorAll(
    'button, a[href], input, select, textarea, summary, [role=tab], [role=option], [role=slider]:not([data-art])',
  );
  return [...targets]
    .filter((el) => isForEyes(el) && el.getBoundingClientRect().width > 1 && !isInText(el))
    .map((el) => [el, (el.closest('label') ?? el).getBoundingClientRect()])
    .filter(([, box]) => box.width < FINGER || box.height < FINGER)
    .map(
      ([el, box]) =>
        `${named(el.textContent || el.getAttribute('aria-label') || el.tagName)} ${Math.round(box.width)}×${Math.round(box.height)}`,
    );
}

function measure(isTouch) {
  const wide = document.documentElement.clientWidth;
  const lines = linesOf();
  const once = (list) => [...new Set(list)];
  const out = lines.filter(({ place, box }) => place !== 'framed' && (box.right > wide + 1 || box.left < -1));
  return {
    lines: lines.length,
    sideways: Math.max(0, document.documentElement.scrollWidth - wide),
    out: once(out.map(({ text }) => text)),
    broken: once(lines.filter((line) => line.isBroken).map(({ text }) => text)),
    cut: once(lines.filter((line) => line.isCut).map(({ text }) => text)),
    overlapped: once(overlapped(lines)),
    small: isTouch ? once(tooSmall()) : [],
  };
}

globalThis.measure = measure;
