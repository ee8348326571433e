/**
 * Says which shapes and which lists of words are declared in more than one place: types with the very same fields, and unions of
 * the very same words. One is to be declared, in core; the others take it from there. Ends with 1 where one is neither mended nor argued.
 */
import ts from 'typescript';

/** Alike by chance, and meaning different things: the names, and why. */
const ARGUED: Record<string, string> = {};
/** Fewer fields than this are alike by chance. */
const LEAST_FIELDS = 3;
const LEAST_WORDS = 2;

const config = ts.getParsedCommandLineOfConfigFile('tsconfig.json', {}, { ...ts.sys, onUnRecoverableConfigFileDiagnostic: () => {} });
if (!config) throw new Error('there is no tsconfig.json');
const program = ts.createProgram(config.fileNames, config.options);
const checker = program.getTypeChecker();
const places = new Map<string, Map<string, string>>();

/** What tells a type from others: its fields with their types, or its words; null: too little to tell. */
function shapeOf(type: ts.Type): string | null {
  if (type.isUnion()) {
    const words = type.types.flatMap((one) => (one.isStringLiteral() ? [one.value] : []));
    return words.length === type.types.length && words.length >= LEAST_WORDS ? words.sort().join(' | ') : null;
  }
  const fields = type.getProperties();
  if (fields.length < LEAST_FIELDS || type.getCallSignatures().length > 0) return null;
  const typed = fields.map(
    (field) => `${field.name}: ${checker.typeToString(checker.getTypeOfSymbol(field), undefined, ts.TypeFormatFlags.NoTruncation)}`,
  );
  return typed.sort().join('; ');
}

const keep = (shape: string | null | undefined, path: string, name: string): void => {
  if (shape) places.set(shape, (places.get(shape) ?? new Map()).set(`${path} ${name}`, name));
};

/** A type or interface with fields or words of its own; a name for what is declared elsewhere declares nothing. */
function ofType(node: ts.InterfaceDeclaration | ts.TypeAliasDeclaration): string | null {
  const isOwn = ts.isInterfaceDeclaration(node)
    ? !node.heritageClauses?.length
    : ts.isTypeLiteralNode(node.type) || ts.isUnionTypeNode(node.type);
  return isOwn ? shapeOf(checker.getTypeAtLocation(node)) : null;
}

/** A schema is a declaration too, unless it takes its words from a list. */
function ofSchema(node: ts.VariableDeclaration, file: ts.SourceFile): string | null {
  if (!node.initializer || !/^z\s*\.(object\(|enum\(\[)/.test(node.initializer.getText(file))) return null;
  const output = checker.getTypeAtLocation(node).getProperty('_output');
  return output ? shapeOf(checker.getTypeOfSymbol(output)) : null;
}

/** And so is a list of words. */
function ofList(node: ts.AsExpression, file: ts.SourceFile): string | null {
  if (node.type.getText(file) !== 'const' || !ts.isArrayLiteralExpression(node.expression)) return null;
  const { elements } = node.expression;
  const words = elements.flatMap((one) => (ts.isStringLiteral(one) ? [one.text] : []));
  return words.length === elements.length && words.length >= LEAST_WORDS ? words.sort().join(' | ') : null;
}

for (const file of program.getSourceFiles()) {
  const path = file.fileName.replace(`${process.cwd()}/`, '');
  if (!path.startsWith('src/') || /\.test\.tsx?$/.test(path)) continue;
  const visit = (node: ts.Node): void => {
    if (ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node)) keep(ofType(node), path, node.name.text);
    if (ts.isVariableDeclaration(node)) keep(ofSchema(node, file), path, node.name.getText(file));
    if (ts.isAsExpression(node))
      keep(ofList(node, file), path, ts.isVariableDeclaration(node.parent) ? node.parent.name.getText(file) : 'list');
    ts.forEachChild(node, visit);
  };
  visit(file);
}

let open = 0;
for (const [shape, where] of places) {
  if (where.size < 2) continue;
  const key = [...where.keys()]
    .map((one) => one.split(' ')[1])
    .sort()
    .join(', ');
  const why = ARGUED[key];
  if (!why) open++;
  console.log(`${key}${why ? `: ${why}` : ''}\n  ${[...where.keys()].join('\n  ')}\n  ${shape.slice(0, 160)}`);
}
console.log(`${open} declared twice and not argued`);
process.exit(open === 0 ? 0 : 1);
