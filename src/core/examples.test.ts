/** The examples of the core's docs, run: `@example expression // what it comes to`, a figure to as many digits as are written. */
import { readFileSync } from 'node:fs';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

const SOURCES = import.meta.glob<Record<string, unknown>>(['./**/*.ts', '!./**/*.test.ts']);

interface Example {
  of: string;
  code: string;
  wanted: string;
}

/** Examples of what a source exports, in its order. */
function examplesIn(path: string): Example[] {
  const source = ts.createSourceFile(path, readFileSync(new URL(path, import.meta.url), 'utf8'), ts.ScriptTarget.Latest, true);
  return source.statements.flatMap((statement) =>
    ts
      .getJSDocTags(ts.isVariableStatement(statement) ? (statement.declarationList.declarations[0] ?? statement) : statement)
      .filter(({ tagName }) => tagName.text === 'example')
      .map((tag) => {
        const [code = '', wanted = ''] = (ts.getTextOfJSDocComment(tag.comment) ?? '').split(' // ');
        return { of: `${path.slice(2)} ${code.split('(')[0]}`, code, wanted };
      }),
  );
}

const evaluated = (code: string, scope: Record<string, unknown>): unknown =>
  new Function(...Object.keys(scope), `"use strict"; return (${code});`)(...Object.values(scope));

/** Half of the last digit that is written. */
const HALF_DIGIT = 0.5;

function check(value: unknown, wanted: string): void {
  const figure = /^-?\d+(?:\.(\d+))?(…)?$/.exec(wanted);
  if (!figure) {
    expect(typeof value === 'string' ? `'${value}'` : value).toEqual(typeof value === 'string' ? `'${wanted}'` : evaluated(wanted, {}));
    return;
  }
  // cut short, or rounded
  const within = (figure[2] ? 1 : HALF_DIGIT) * 10 ** -(figure[1]?.length ?? 0);
  expect(Math.abs(Number(value) - Number.parseFloat(wanted))).toBeLessThanOrEqual(within);
}

describe('an example in the docs', () => {
  const examples = Object.entries(SOURCES).flatMap(([path, load]) => examplesIn(path).map((example) => ({ ...example, load })));
  it.each(examples)('of $of comes to what it says', async ({ code, wanted, load }) => {
    expect(wanted).not.toBe('');
    check(evaluated(code, await load()), wanted);
  });
  it('stands with every function that makes one figure of figures', () => {
    const without = Object.keys(SOURCES).flatMap((path) => {
      const has = new Set(examplesIn(path).map(({ code }) => /^\w+/.exec(code)?.[0]));
      return plainFunctions(path).filter((name) => !has.has(name));
    });
    expect(without).toEqual([]);
  });
});

/** Names of the exported functions that take figures alone and give one. */
function plainFunctions(path: string): string[] {
  const source = ts.createSourceFile(path, readFileSync(new URL(path, import.meta.url), 'utf8'), ts.ScriptTarget.Latest, true);
  const isFigure = (type: ts.TypeNode | undefined) => type?.kind === ts.SyntaxKind.NumberKeyword;
  const isExported = (node: ts.Statement) =>
    ts.canHaveModifiers(node) && ts.getModifiers(node)?.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword);
  return source.statements.filter(isExported).flatMap((statement) => {
    const [name, made] = ts.isFunctionDeclaration(statement)
      ? [statement.name?.text, statement]
      : ts.isVariableStatement(statement)
        ? [statement.declarationList.declarations[0]?.name.getText(), statement.declarationList.declarations[0]?.initializer]
        : [];
    if (!name || !made || !(ts.isFunctionDeclaration(made) || ts.isArrowFunction(made))) return [];
    return isFigure(made.type) && made.parameters.length > 0 && made.parameters.every(({ type }) => isFigure(type)) ? [name] : [];
  });
}
