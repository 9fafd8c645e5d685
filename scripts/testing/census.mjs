import { relative, resolve } from 'node:path';
import ts from 'typescript';

const TEST = /\.test\.|\/testing\/|\.spec\.|^e2e\//;

/** The project read once, with what a list or a record holds at a place counted as perhaps empty. */
export function census(root) {
  const config = ts.getParsedCommandLineOfConfigFile(
    resolve(root, 'tsconfig.json'),
    { noEmit: true, incremental: false, noUncheckedIndexedAccess: true },
    { ...ts.sys, onUnRecoverableConfigFileDiagnostic: (d) => console.error(d.messageText) },
  );
  const program = ts.createProgram(config.fileNames, config.options);
  const sources = program
    .getSourceFiles()
    .map((source) => ({ source, file: relative(root, source.fileName) }))
    .filter(({ source, file }) => !source.isDeclarationFile && !/^(node_modules|\.)/.test(file));
  const checker = program.getTypeChecker();
  return {
    emptyLeft: () => emptyLeft(sources, checker),
    unread: (of) => unread(sources, checker, of),
    unchecked: (isKernel) => unchecked(sources, program, isKernel),
    brought: (from) => brought(sources, checker, root, from),
  };
}

/** Every use of what a list or a record may not hold as if it did, as "file:line what is wrong", outside of kernels and tests. */
const unchecked = (sources, program, isKernel) =>
  sources
    .filter(({ file }) => !TEST.test(file) && !isKernel(file))
    .flatMap(({ source, file }) =>
      program
        .getSemanticDiagnostics(source)
        .map(
          (d) =>
            `${file}:${source.getLineAndCharacterOfPosition(d.start).line + 1} ${ts.flattenDiagnosticMessageText(d.messageText, ' ')}`,
        ),
    );

/**
 * Files that come with one when it is fetched: what is imported of values, where it is written, not through the index that hands it on; what is
 * imported later does not count. Each with the files by which it comes.
 */
function brought(sources, checker, root, from) {
  const of = new Map(sources.map(({ source, file }) => [file, source]));
  const ways = new Map([[from, from]]);
  for (const [file, way] of ways) {
    for (const { importClause: clause } of (of.get(file)?.statements ?? []).filter(ts.isImportDeclaration)) {
      if (!clause || clause.isTypeOnly) continue;
      const names =
        clause.namedBindings && ts.isNamedImports(clause.namedBindings) ? clause.namedBindings.elements : [];
      for (const name of [...(clause.name ? [clause] : []), ...names.filter((n) => !n.isTypeOnly)]) {
        const here = checker.getSymbolAtLocation(name.name);
        const symbol = here && here.flags & ts.SymbolFlags.Alias ? checker.getAliasedSymbol(here) : here;
        const source =
          symbol && symbol.flags & ts.SymbolFlags.Value ? symbol.declarations?.[0]?.getSourceFile() : undefined;
        const to = source && relative(root, source.fileName);
        if (to && of.has(to) && !ways.has(to)) ways.set(to, `${way} ${to}`);
      }
    }
  }
  return ways;
}

const lineOf = (source, node) => source.getLineAndCharacterOfPosition(node.getStart()).line + 1;

/**
 * Every `??` whose left side can never be empty, as "file:line text"; what has no known type may be. A default that stands where nothing is missing is a
 * second account of a fact: it says what is meant where it is already said.
 */
function emptyLeft(sources, checker) {
  const { TypeFlags: F, SyntaxKind: K } = ts;
  const EMPTY = F.Undefined | F.Null | F.Void | F.Any | F.Unknown | F.TypeParameter | F.IndexedAccess;
  const canBeEmpty = (type) =>
    (type.flags & EMPTY) !== 0 || (type.isUnionOrIntersection() && type.types.some(canBeEmpty));
  const found = [];
  for (const { source, file } of sources) {
    const look = (node) => {
      if (
        ts.isBinaryExpression(node) &&
        (node.operatorToken.kind === K.QuestionQuestionToken ||
          node.operatorToken.kind === K.QuestionQuestionEqualsToken) &&
        !canBeEmpty(checker.getTypeAtLocation(node.left))
      )
        found.push(`${file}:${lineOf(source, node)} ${node.getText().replaceAll(/\s+/g, ' ').slice(0, 120)}`);
      ts.forEachChild(node, look);
    };
    look(source);
  }
  return found;
}

/** The name a declaration stands in: of the schema or the interface. */
function ownerOf(node) {
  let at = node.parent;
  while (at && !(at.name && (ts.isIdentifier(at.name) || ts.isStringLiteral(at.name)))) at = at.parent;
  return at?.name.text ?? '';
}

/**
 * Fields of schemas (`z.object`) and of interfaces that are written down and that no product code reads, as "owner.field".
 * @param of where fields are looked for: true for a file, or for an interface of it by its name
 */
function unread(sources, checker, of) {
  const fields = new Map();
  const isField = (node, file) => {
    if (ts.isPropertySignature(node)) return of(file, interfaceOf(node));
    const call = ts.isPropertyAssignment(node) && ts.isObjectLiteralExpression(node.parent) && node.parent.parent;
    return (
      call &&
      ts.isCallExpression(call) &&
      /[.\s](object|looseObject|extend)$/.test(call.expression.getText()) &&
      of(file)
    );
  };
  for (const { source, file } of sources) {
    if (TEST.test(file)) continue;
    const look = (node) => {
      if (node.name && ts.isIdentifier(node.name) && isField(node, file))
        fields.set(node, { name: `${ownerOf(node)}.${node.name.text}`, read: false });
      ts.forEachChild(node, look);
    };
    look(source);
  }
  const seen = (symbol, name) => {
    for (const d of symbol?.declarations ?? []) if (fields.has(d) && d.name !== name) fields.get(d).read = true;
  };
  for (const { source, file } of sources) {
    if (TEST.test(file)) continue;
    const look = (node) => {
      if (ts.isPropertyAccessExpression(node)) seen(checker.getSymbolAtLocation(node.name), node.name);
      else if (ts.isBindingElement(node) && !node.dotDotDotToken) {
        const name = node.propertyName ?? node.name;
        if (ts.isIdentifier(name)) {
          const type = checker.getTypeAtLocation(node.parent);
          for (const t of type.isUnion() ? type.types : [type])
            seen(checker.getPropertyOfType(checker.getNonNullableType(t), name.text), name);
        }
      }
      ts.forEachChild(node, look);
    };
    look(source);
  }
  return [...new Set([...fields.values()].filter((f) => !f.read).map((f) => f.name))];
}

/** Name of the interface that a member stands in, at whatever depth. */
function interfaceOf(node) {
  let at = node.parent;
  while (at && !ts.isInterfaceDeclaration(at)) at = at.parent;
  return at?.name.text;
}
