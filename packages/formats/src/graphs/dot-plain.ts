const SPACE = /\s+/y;
const COMMENT = /\/\/[^\n]*|\/\*[^]*?\*\/|#[^\n]*/y;
const STRING = /"(?:[^"\\]|\\[^])*"/y;
const OPERATOR = /->|--/y;
const NUMERAL = /-?(?:\.\d+|\d+(?:\.\d*)?)(?![\w\u0080-\uffff])/y;
const NAME = /[A-Za-z_\u0080-\uffff][\w\u0080-\uffff]*/y;
const KEYWORDS = new Set(['strict', 'graph', 'digraph', 'node', 'edge', 'subgraph']);

/**
 * DOT as the parser takes it, meaning the same: strings that are joined are one, numerals are strings that keep their zeros,
 * keywords are small, comments and statements that say nothing are gone. Lines stay where they are.
 */
export function plainDot(text: string): string {
  const out: string[] = [];
  /** the last that was no space, and whether a string is to be joined to it */
  let [last, isJoined] = [-1, false];
  const put = (token: string): void => {
    last = out.push(token) - 1;
  };
  const string = (token: string): void => {
    if (isJoined) out[last] = `${out[last]!.slice(0, -1)}${token.slice(1)}`;
    else put(token);
    isJoined = false;
  };
  for (let at = 0; at < text.length;) {
    const found = (pattern: RegExp): string | undefined => {
      pattern.lastIndex = at;
      const token = pattern.exec(text)?.[0];
      at += token?.length ?? 0;
      return token;
    };
    let token: string | undefined;
    if ((token = found(SPACE))) out.push(token);
    else if (isComment(text, at) && (token = found(COMMENT))) out.push(token.replace(/[^\n]+/g, ' '));
    else if ((token = found(STRING))) string(token);
    else if ((token = found(OPERATOR))) put(token);
    else if ((token = found(NUMERAL))) put(`"${token}"`);
    else if ((token = found(NAME))) put(KEYWORDS.has(token.toLowerCase()) ? token.toLowerCase() : token);
    else {
      token = text[at] === '<' ? htmlAt(text, at) : text[at]!;
      at += token.length;
      if (token === '+' && out[last]?.startsWith('"')) isJoined = true;
      else if (token !== ';' || !/^[;{]$/.test(out[last] ?? '{')) put(token);
    }
  }
  return out.join('');
}

/** A line that begins with # is one, as the C preprocessor leaves them. */
const isComment = (text: string, at: number): boolean =>
  text[at] === '/' || (text[at] === '#' && (at === 0 || text[at - 1] === '\n'));

/** From a sign of lesser to the one of greater that closes it. */
function htmlAt(text: string, start: number): string {
  let depth = 0;
  for (let at = start; at < text.length; at++) {
    if (text[at] === '<') depth += 1;
    else if (text[at] === '>' && (depth -= 1) === 0) return text.slice(start, at + 1);
  }
  return text.slice(start);
}
