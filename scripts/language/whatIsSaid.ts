import ts from 'typescript';

/** Whether there is anything in a text that could be said otherwise: letters, and no class of a style. */
export const isSaid = (text: string) => !/^(text|bg|border)-/.test(text) && (/\p{L}{2}/u.test(text) || /^\p{L}$/u.test(text.trim()));

/** Several words, or one with a capital: not the name of a class, a key or a path. */
export const looksSaid = (text: string) =>
  !/^[a-z][\w-]*$|[#_=[\]|]|^[Mm][\d .-]|\p{Ll}-\p{Ll}*-|\w:\w|^\/|^https?:|^[A-Z]+$|(^| )(flex|grid|rounded|border|text|font|px|py|mt|pl|pr)(-| |$)/u.test(
    text,
  ) &&
  (/\p{L}\S* +\S*\p{L}/u.test(text) || /^\p{Lu}\p{Ll}+[.…!?:]?$/u.test(text));

/** Whether a literal is shown where it stands: as one of several in an element, or within a text. */
export function isShown(node: ts.Node): boolean {
  let at = node;
  while (
    (ts.isConditionalExpression(at.parent) && at.parent.condition !== at) ||
    (ts.isBinaryExpression(at.parent) && /^(&&|\|\||\?\?|\+)$/.test(at.parent.operatorToken.getText())) ||
    ts.isParenthesizedExpression(at.parent)
  )
    at = at.parent;
  if (ts.isTemplateSpan(at.parent))
    return !ts.isJsxAttribute(at.parent.parent.parent.parent) || SAID.test(at.parent.parent.parent.parent.name.getText());
  return ts.isJsxExpression(at.parent) && (ts.isJsxElement(at.parent.parent) || ts.isJsxFragment(at.parent.parent));
}

/** Attributes that are read, and those that never are. */
export const SAID =
  /^(label|title|placeholder|alt|words|hint|text|heading|caption|summary|description|unit|aria-(label|description|roledescription|valuetext))$/;
export const NOT_SAID =
  /^(class(Name)?|id|href|src|d|key|type|role|value|name|style|fill|stroke|points|transform|viewBox|rel|data-.*|html[A-Z].*)$/;

/** Whether a literal is for the program: a kind that is compared, a class, a key, a type, a name of a property. */
export function isOfCode(node: ts.Node): boolean {
  for (let at = node, up = node.parent; up; at = up, up = up.parent) {
    if (ts.isImportDeclaration(up) || ts.isExportDeclaration(up) || ts.isTypeNode(up) || ts.isLiteralTypeNode(up)) return true;
    if (ts.isExpressionStatement(up) && at === node) return true; // 'use client'
    if (ts.isCaseClause(up) && up.expression === at) return true;
    if (ts.isBinaryExpression(up) && /^([!=]==?|in)$/.test(up.operatorToken.getText())) return true;
    if (ts.isElementAccessExpression(up) && up.argumentExpression === at) return true;
    if ((ts.isPropertyAssignment(up) || ts.isPropertySignature(up)) && up.name === at) return true;
    if (ts.isPropertyAssignment(up) && CODE_PROPERTY.test(up.name.getText())) return true;
    if (ts.isJsxAttribute(up) && NOT_SAID.test(up.name.getText())) return true;
    if (ts.isCallExpression(up) && at === node && up.expression !== at && /^[a-z]+(-[a-z]+)+$/.test((node as ts.StringLiteral).text))
      return true;
    // One of several kinds in a table: its id comes first.
    if (ts.isCallExpression(up) && up.arguments.length > 1 && up.arguments[0] === at && up.arguments.slice(1).some(ts.isStringLiteral))
      return true;
    if (ts.isCallExpression(up) && up.expression !== at && CODE_CALL.test(up.expression.getText())) return true;
    if (ts.isNewExpression(up) && /Error$/.test(up.expression.getText())) return true;
    if (ts.isTaggedTemplateExpression(up)) return true;
    // Whatever stands further out holds statements: what is in them is judged by them alone.
    if (ts.isBlock(up) || ts.isSourceFile(up) || ts.isJsxElement(up) || ts.isJsxFragment(up)) return false;
  }
  return false;
}
const CODE_CALL =
  /^(clsx|require|import|fetch|Symbol|matchMedia|.*\.(includes|startsWith|endsWith|has|get|set|getItem|setItem|querySelector(All)?|getPropertyValue|addEventListener|removeEventListener|closest|matches|test|setAttribute|getAttribute|hasAttribute|createElement(NS)?|postMessage))$/;
const CODE_PROPERTY =
  /^(id|value|of|kind|href|type|className|class|key|path|icon|colou?r|fill|stroke|font|fontFamily|locale|timeZone|style|mode|axis|cursor|align|baseline|(date|time)Style|weekday|year|month|day|hour|minute|notation)$/;
