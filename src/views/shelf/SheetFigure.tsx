/** The temperature or the time of a stage, or of what is put in its place, with what the server said of any part of it. */
import { SHEET_C, SHEET_S } from '../../core/sheet';
import type { HouseUnits } from '../../core/units';
import { FigureField, type FigureFieldProps } from '../../ui/FigureField';

const OF = { tempC: { kind: 'temperature', ...SHEET_C }, timeS: { kind: 'duration', ...SHEET_S } } as const;

interface SheetFigureProps extends Omit<FigureFieldProps, 'kind' | 'min' | 'max' | 'problem'> {
  of: keyof typeof OF;
  house: HouseUnits;
  /** Where the stage stands among the fields the server names. */
  path: string;
  fields: Record<string, string>;
}

export function SheetFigure({ of, path, fields, ...field }: SheetFigureProps) {
  const own = `${path}.${of}`;
  const problem = fields[own] ?? Object.entries(fields).find(([name]) => name.startsWith(`${own}.`))?.[1];
  return <FigureField {...OF[of]} {...field} problem={problem} />;
}
