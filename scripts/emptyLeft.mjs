import { relative, resolve } from 'node:path';
import ts from 'typescript';

/**
 * Every `??` whose left side can never be empty, as "file:line text". What a list or a record holds at a place counts as perhaps empty; so does what has
 * no known type. A default that stands where nothing is missing is a second account of a fact: it says what is meant where it is already said.
 * @param root the folder of the project
 * @param of which files are looked at, by their path from the root
 */
export function emptyLeft(root, of = () => true) {
  const config = ts.getParsedCommandLineOfConfigFile(
    resolve(root, 'tsconfig.json'),
    { noEmit: true, incremental: false, noUncheckedIndexedAccess: true },
    { ...ts.sys, onUnRecoverableConfigFileDiagnostic: (d) => console.error(d.messageText) },
  );
  const program = ts.createProgram(config.fileNames, config.options);
  const checker = program.getTypeChecker();
  const EMPTY =
    ts.TypeFlags.Undefined |
    ts.TypeFlags.Null |
    ts.TypeFlags.Void |
    ts.TypeFlags.Any |
    ts.TypeFlags.Unknown |
    ts.TypeFlags.TypeParameter |
    ts.TypeFlags.IndexedAccess;
  const canBeEmpty = (type) =>
    (type.flags & EMPTY) !== 0 || (type.isUnionOrIntersection() && type.types.some(canBeEmpty));
  const found = [];
  for (const source of program.getSourceFiles()) {
    const file = relative(root, source.fileName);
    if (source.isDeclarationFile || file.startsWith('node_modules') || file.startsWith('.') || !of(file)) continue;
    const look = (node) => {
      if (
        ts.isBinaryExpression(node) &&
        (node.operatorToken.kind === ts.SyntaxKind.QuestionQuestionToken ||
          node.operatorToken.kind === ts.SyntaxKind.QuestionQuestionEqualsToken) &&
        !canBeEmpty(checker.getTypeAtLocation(node.left))
      ) {
        const { line } = source.getLineAndCharacterOfPosition(node.getStart());
        found.push(`${file}:${line + 1} ${node.getText().replaceAll(/\s+/g, ' ').slice(0, 120)}`);
      }
      ts.forEachChild(node, look);
    };
    look(source);
  }
  return found;
}
