/** Small faults put into a source, one at a time: what a test worth its name has to notice. */
import ts from 'typescript';

export interface Mutant {
  readonly line: number;
  /** What stood there, and what stands there now. */
  readonly was: string;
  readonly now: string;
  readonly text: string;
}

const swaps: Partial<Record<ts.SyntaxKind, string>> = {
  [ts.SyntaxKind.PlusToken]: '-',
  [ts.SyntaxKind.MinusToken]: '+',
  [ts.SyntaxKind.AsteriskToken]: '/',
  [ts.SyntaxKind.SlashToken]: '*',
  [ts.SyntaxKind.LessThanToken]: '>=',
  [ts.SyntaxKind.LessThanEqualsToken]: '>',
  [ts.SyntaxKind.GreaterThanToken]: '<=',
  [ts.SyntaxKind.GreaterThanEqualsToken]: '<',
  [ts.SyntaxKind.EqualsEqualsEqualsToken]: '!==',
  [ts.SyntaxKind.ExclamationEqualsEqualsToken]: '===',
  [ts.SyntaxKind.AmpersandAmpersandToken]: '||',
  [ts.SyntaxKind.BarBarToken]: '&&',
};

/** A plus between texts is no sum: a minus there would be refused by the compiler, not by a test. */
function joinsTexts({ left, right }: ts.BinaryExpression): boolean {
  return [left, right].some((one) => ts.isStringLiteralLike(one) || ts.isTemplateExpression(one));
}

/** @param name File name, for the syntax. @param text Its source. @returns Every fault that can be put into it. */
export function mutantsOf(name: string, text: string): Mutant[] {
  const source = ts.createSourceFile(name, text, ts.ScriptTarget.Latest, true);
  const out: Mutant[] = [];
  const put = (node: ts.Node, now: string): void => {
    const from = node.getStart(source);
    out.push({
      line: source.getLineAndCharacterOfPosition(from).line + 1,
      was: node.getText(source),
      now,
      text: text.slice(0, from) + now + text.slice(node.end),
    });
  };
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) {
      const now = swaps[node.operatorToken.kind];
      if (now !== undefined && !joinsTexts(node)) put(node.operatorToken, now);
    } else if (ts.isNumericLiteral(node)) put(node, Number(node.text) === 0 ? '1' : `(${node.text} * 1.5)`);
    else if (node.kind === ts.SyntaxKind.TrueKeyword) put(node, 'false');
    else if (node.kind === ts.SyntaxKind.FalseKeyword) put(node, 'true');
    ts.forEachChild(node, visit);
  };
  visit(source);
  return out;
}
