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

/**
 * Whether a style fetches anything from outside the file: by `@import`, or by an address that is no part of the file and no picture
 * of its own. It is read token by token, as browsers do: comments and escapes hide nothing.
 * @param css a sheet, a list of declarations, or one value
 */
export function fetchesOutside(css: string): boolean {
  /** of each open bracket, whether texts in it are addresses */
  const open: boolean[] = [];
  const tokens = tokensOf(css);
  for (const [i, { type, text }] of tokens.entries()) {
    switch (type) {
      case tokenTypes.AtKeyword:
        if (nameOf(text.slice(1)) === 'import') return true;
        break;
      case tokenTypes.BadUrl:
      case tokenTypes.BadString:
        return true;
      case tokenTypes.Url:
        if (!isInside(url.decode(text))) return true;
        break;
      case tokenTypes.Function:
        // An address without quotes after a name that is written with escapes is one to browsers alone.
        if (nameOf(text.slice(0, -1)) === 'url' && tokens[i + 1]?.type !== tokenTypes.String) return true;
        open.push(open.at(-1) === true || ADDRESSES.has(nameOf(text.slice(0, -1))));
        break;
      case tokenTypes.LeftParenthesis:
        open.push(open.at(-1) ?? false);
        break;
      case tokenTypes.RightParenthesis:
        open.pop();
        break;
      case tokenTypes.String:
        if (open.at(-1) && !isInside(string.decode(text))) return true;
        break;
    }
  }
  return false;
}
