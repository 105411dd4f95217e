import { ident, string, tokenize, tokenTypes, url } from 'css-tree';

/** A reference stays inside the file when it names a part of it or carries the picture itself. */
export const isInside = (reference: string): boolean =>
  /^\s*(#|data:image\/(png|jpeg|webp|gif)[;,])/i.test(reference);

/** Functions whose texts are addresses. Source: CSS Images 4, §2 and §3; CSS Values 5, §3.1. */
const ADDRESSES = new Set(['url', 'src', 'image', 'image-set', '-webkit-image-set']);

interface Token {
  type: number;
  text: string;
}

function tokensOf(css: string): Token[] {
  const tokens: Token[] = [];
  tokenize(css, (type, start, end) => {
    if (type !== tokenTypes.Comment && type !== tokenTypes.WhiteSpace)
      tokens.push({ type, text: css.slice(start, end) });
  });
  return tokens;
}

const nameOf = (text: string) => ident.decode(text).toLowerCase();

/** Whether a function takes addresses. @param around whether the one around it does */
const takesAddresses = (text: string, around: boolean) => around || ADDRESSES.has(nameOf(text.slice(0, -1)));

/** Whether a token alone fetches something. @param isAddress whether a text is an address here */
function isFetching({ type, text }: Token, next: Token | undefined, isAddress: boolean): boolean {
  switch (type) {
    case tokenTypes.AtKeyword:
      return nameOf(text.slice(1)) === 'import';
    case tokenTypes.BadUrl:
    case tokenTypes.BadString:
      return true;
    case tokenTypes.Url:
      return !isInside(url.decode(text));
    case tokenTypes.Function:
      // An address without quotes after a name that is written with escapes is one to browsers alone.
      return nameOf(text.slice(0, -1)) === 'url' && next?.type !== tokenTypes.String;
    case tokenTypes.String:
      return isAddress && !isInside(string.decode(text));
    default:
      return false;
  }
}

/**
 * Whether a style fetches anything from outside the file: by `@import`, or by an address that is no part of the file and no picture
 * of its own. It is read token by token, as browsers do: comments and escapes hide nothing.
 * @param css a sheet, a list of declarations, or one value
 */
export function fetchesOutside(css: string): boolean {
  const tokens = tokensOf(css);
  /** of each open bracket, whether texts in it are addresses */
  const open: boolean[] = [];
  return tokens.some((token, i) => {
    const { type, text } = token;
    const around = open.at(-1) ?? false;
    if (isFetching(token, tokens[i + 1], around)) return true;
    if (type === tokenTypes.Function) open.push(takesAddresses(text, around));
    if (type === tokenTypes.LeftParenthesis) open.push(around);
    if (type === tokenTypes.RightParenthesis) open.pop();
    return false;
  });
}
