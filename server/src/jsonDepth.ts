/** Brackets in brackets that JSON may have: a job has ten. What is deeper breaks whoever walks through it. */
const deepest = 64;

/** Whether a text of JSON has brackets deeper in each other than anything here needs. Told without parsing it. */
export function isTooDeep(text: string): boolean {
  let depth = 0;
  for (let at = 0; at < text.length; at += 1) {
    const sign = text.charCodeAt(at);
    if (sign === quote) at = endOfString(text, at);
    else if (sign === openList || sign === openObject) {
      depth += 1;
      if (depth > deepest) return true;
    } else if (sign === closeList || sign === closeObject) depth -= 1;
  }
  return false;
}

const [quote, openList, openObject, closeList, closeObject, backslash] = ['"', '[', '{', ']', '}', '\\'].map((sign) =>
  sign.charCodeAt(0),
) as [number, number, number, number, number, number];

/** Place of the quotation mark that closes a string; the end of the text where none does. */
function endOfString(text: string, from: number): number {
  for (let at = text.indexOf('"', from + 1); at >= 0; at = text.indexOf('"', at + 1)) {
    let escapes = 0;
    while (text.charCodeAt(at - 1 - escapes) === backslash) escapes += 1;
    if (escapes % 2 === 0) return at;
  }
  return text.length;
}
