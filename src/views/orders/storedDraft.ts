/** What is typed into a line outlives leaving the page: the tab keeps it, beside what it began from, until it is saved. */
import { useEffect, useRef, useState } from 'react';
import { useDocForm } from '../../ui/docForm';
import { recall, remember } from '../../ui/tabMemory';
import { type LineDraft, LineDraftSchema } from './lineDraft';

/** The id of a new line is made afresh each time: it is no part of what a draft began from. */
const beginning = ({ id: _, ...rest }: LineDraft): string => JSON.stringify(rest);

interface StoredDraft {
  from: string;
  draft: LineDraft;
}

/** What was kept, if it began from the same as now; what cannot be read counts as nothing. */
export function storedDraft(text: string | null, start: LineDraft): LineDraft | null {
  if (text === null) return null;
  try {
    const stored = JSON.parse(text) as StoredDraft;
    return stored.from === beginning(start) ? { ...stored.draft, id: start.id } : null;
  } catch {
    return null;
  }
}

/** What to keep of a draft; null: nothing was typed. */
export const textToKeep = (draft: LineDraft, start: LineDraft): string | null =>
  beginning(draft) === beginning(start) ? null : JSON.stringify({ from: beginning(start), draft } satisfies StoredDraft);

/**
 * A form of a line that begins from what was kept, else from `start`, and is kept as it changes. When `start` changes it begins anew.
 *
 * @param slot names the line within its order
 * @param first done once to what it begins from
 */
export function useStoredLine(slot: string, start: LineDraft, first: (draft: LineDraft) => LineDraft) {
  const place = `line being typed: ${slot}`;
  const [begun] = useState(() => first(storedDraft(recall(place), start) ?? start));
  const form = useDocForm<LineDraft>(LineDraftSchema, begun);
  const { doc, begin } = form;
  const from = useRef(start);
  useEffect(() => {
    if (from.current === start) remember(place, textToKeep(doc, start));
    else {
      from.current = start;
      begin(start);
    }
  }, [doc, start, place, begin]);
  return form;
}
