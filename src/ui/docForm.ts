/**
 * A form over one whole document. The form library keeps what is typed; the document's own schema judges it before anything is
 * sent, so that what it refuses is told as the server would tell it.
 */
import { zodResolver } from '@hookform/resolvers/zod';
import { type DefaultValues, type FieldErrors, type FieldValues, type Path, useForm, useWatch } from 'react-hook-form';
import type { z } from 'zod';
import { ProblemError } from '../contract';
import { speakPlainly } from '../core/units';

speakPlainly();

/** Messages by the dotted path of their field. */
export function flattened(errors: unknown, path = ''): Record<string, string> {
  if (typeof errors !== 'object' || errors === null) return {};
  const { message } = errors as { message?: unknown };
  const below = Object.entries(errors).filter(([key]) => !['message', 'type', 'types', 'ref'].includes(key));
  return Object.assign(
    typeof message === 'string' ? { [path]: message } : {},
    ...below.map(([key, value]) => flattened(value, key === 'root' || path === '' ? path || key : `${path}.${key}`)),
  );
}

/** What a schema found wrong, as the server's own refusal says it; null: nothing. */
function refusalOf(fields: Record<string, string>): ProblemError | null {
  const errors = Object.entries(fields).map(([field, message]) => ({ field, message }));
  if (errors.length === 0) return null;
  const detail = errors.map(({ message }) => message).join(' ');
  return new ProblemError({ type: 'about:blank', title: 'Not taken', status: 422, detail, errors });
}

/** Nothing typed is let go when the values are set anew. */
const KEEP = { keepDefaultValues: true, keepErrors: true, keepIsSubmitted: true, keepSubmitCount: true, keepTouched: true } as const;

interface DocForm<T, Taken = T> {
  doc: T;
  /** Whether it differs from what it began as. */
  dirty: boolean;
  /** What the schema refuses of it, after it was first handed in. */
  refusal: ProblemError | null;
  fields: Record<string, string>;
  patch: (part: Partial<T>) => void;
  /** The whole document anew, where a change takes fields away. */
  replace: (doc: T) => void;
  /** Begins anew, with nothing refused yet. */
  begin: (start: T) => void;
  /** Begins anew from another, with what is typed on top of it. */
  rebase: (start: T, doc: T) => void;
  /** Handed in: `onTaken` gets what the schema takes, `onRefused` what it refuses by field. */
  submit: (onTaken: (doc: Taken) => unknown, onRefused?: (fields: Record<string, string>) => void) => Promise<void>;
  /** The same, as the handler of a form element. */
  handle: (
    onTaken: (doc: Taken) => unknown,
    onRefused?: (fields: Record<string, string>) => void,
  ) => (event: { preventDefault: () => void }) => void;
}

/**
 * @param schema what the document must be; what is empty while it is typed may be null in `start`
 * @param start what the form begins from
 * @param tidied what is judged and handed in instead of what was typed: without its empty entries, say
 */
export function useDocForm<T extends FieldValues, Taken = T>(
  schema: z.ZodType<Taken>,
  start: T,
  tidied: (doc: T) => T = (doc) => doc,
): DocForm<T, Taken> {
  const judge = zodResolver(schema as unknown as z.ZodType<T, T>, undefined, { raw: true });
  const form = useForm<T, unknown, T>({
    defaultValues: start as DefaultValues<T>,
    resolver: (values, context, options) => judge(tidied(values), context, options),
  });
  const doc = useWatch({ control: form.control }) as T;
  const { errors, isDirty, isSubmitted } = form.formState as { errors: FieldErrors<T>; isDirty: boolean; isSubmitted: boolean };
  const fields = flattened(errors);
  // once something was refused, each change is judged at once
  const judgeAgain = () => void (isSubmitted && form.trigger());
  const submit: DocForm<T, Taken>['submit'] = (onTaken, onRefused) =>
    form.handleSubmit(
      async (taken) => {
        await onTaken(taken as unknown as Taken);
      },
      (refused) => onRefused?.(flattened(refused)),
    )();
  return {
    doc,
    dirty: isDirty,
    refusal: refusalOf(fields),
    fields,
    patch: (part) => {
      for (const [field, value] of Object.entries(part)) form.setValue(field as Path<T>, value as never, { shouldDirty: true });
      judgeAgain();
    },
    replace: (next) => {
      form.reset(next, KEEP);
      judgeAgain();
    },
    begin: (from) => form.reset(from),
    rebase: (from, next) => {
      form.reset(from, { keepErrors: true, keepIsSubmitted: true });
      form.reset(next, KEEP);
    },
    submit,
    handle: (onTaken, onRefused) => (event) => {
      event.preventDefault();
      void submit(onTaken, onRefused);
    },
  };
}
